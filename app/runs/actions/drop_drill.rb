# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Nobody wants a drill any more; a slot of its own that still lies ahead goes with it.
      class DropDrill
        def initialize(drill, now)
          @drill = drill
          @now = now
        end

        # wanted: whether it is dropped, or picked up again (and then waits for a rehearsal).
        def run(wanted)
          Records::Base.transaction do
            remove if wanted && own_slot
            @drill.update!(dropped_at: (Shared::Clock.now if wanted), rehearsal: nil, slot_id: nil)
          end
        end

        private

        def own_slot
          key = Core::Planning::TaskKey.of("drill", @drill.id)
          @own_slot ||= @drill.studio.slots.joins(:rehearsal).where(rehearsals: { date: @now.to_date.. })
            .find_by(id: @drill.slot_id, task_key: key)
        end

        def remove
          TellDrill.new(own_slot, "drill_gone").run
          @drill.studio.slot_people.where(slot_id: own_slot.id).delete_all
          own_slot.delete
        end
      end
    end
  end
end
