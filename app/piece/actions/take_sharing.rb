# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Gives each section to the teacher that a share-out proposes for it.
      class TakeSharing
        def initialize(piece, params, account)
          @piece = piece
          @params = params
          @account = account
        end

        # Value: how many sections changed hands. Where somebody else gave one of them away since the proposals were
        # looked at, nothing is done, and it is named.
        def run
          @piece.alone(:editing) do
            @form = SharingForm.of(@piece, @params)
            next Shared::Result.no({ base: taken }) if @form.conflicts.any?
            next Shared::Result.no({ base: I18n.t("sharing.nothing") }) if wanted.empty?

            changed = wanted.reject { |section, person| section.choreographer_id == person.id }
            changed.each { |section, person| section.update!(choreographer: person) }
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record("shared out")
            Shared::Result.ok(changed.size)
          end
        end

        private

        def wanted
          @wanted ||= begin
            teachers = @piece.studio.people.choreographers.index_by { |person| person.id.to_s }
            @piece.sections.to_h do |section|
              id = section.id.to_s
              [section, (teachers[@form.merged[id]] if @form.came?(id))]
            end.compact
          end
        end

        def taken
          names = @piece.sections.where(id: @form.conflicts.map(&:name)).pluck(:name)
          I18n.t("sharing.taken_meanwhile", names: Shared::Lists.all(names))
        end
      end
    end
  end
end
