# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Those of the team who are called to a drill in a plan that was told, or were, are told like of any call.
      class TellDrill
        # slot: Records::Slot of the drill, with its people; kind: "drill_new" or "drill_gone".
        def initialize(slot, kind)
          @slot = slot
          @kind = kind
          @piece = slot.plan.piece
          @studio = @piece.studio
        end

        def run
          return if @slot.plan.published_at.nil?

          called = @slot.slot_people.map(&:person_id)
          @studio.memberships.where(person_id: called).includes(:account).find_each { |membership| tell(membership) }
        end

        private

        def tell(membership)
          Shared::Post.new(@studio).tell(
            membership, topic: "calls", template: @kind, piece: @piece.title, what: @slot.title,
                        day: Shared::Dates.day(@slot.rehearsal.date), at: Formats::Times.clock(@slot.start_minute),
                        minutes: @slot.minutes, link: "#{Settings.app_url}/rehearsals/#{@slot.rehearsal_id}/call-sheet"
          )
        end
      end
    end
  end
end
