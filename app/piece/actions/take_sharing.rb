# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Gives each section to the teacher that a share-out proposes for it.
      class TakeSharing
        def initialize(piece, params, account)
          @piece = piece
          @given = params["taught"].is_a?(Hash) ? params["taught"] : {}
          @account = account
        end

        # Value: how many sections changed hands.
        def run
          teachers = @piece.studio.people.choreographers.index_by { |person| person.id.to_s }
          wanted = @piece.sections.to_h { |section| [section, teachers[@given[section.id.to_s]]] }.compact
          return Shared::Result.no({ base: I18n.t("sharing.nothing") }) if wanted.empty?

          Records::Piece.transaction do
            changed = wanted.reject { |section, person| section.choreographer_id == person.id }
            changed.each { |section, person| section.update!(choreographer: person) }
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record("shared out")
            Shared::Result.ok(changed.size)
          end
        end
      end
    end
  end
end
