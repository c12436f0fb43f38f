# frozen_string_literal: true

module App
  module Room
    module Actions
      # A slot begun or ended, shortened, dropped, or exchanged with another.
      class MoveOn < Entry
        def run
          return :slot unless slot
          return :step unless Core::Room::Timetable::Step::KINDS.include?(@sent.text("step"))
          return :minute unless @sent.minute
          return :minutes if @sent.text("step") == "shorten" && !@sent.whole("minutes")&.between?(1, 600)
          return :slot if @sent.text("step") == "swap" && other.nil?

          add(Records::EveningStep, said.merge(step))
        end

        private

        def other = @sent.row(@rehearsal.slots, "with")

        def step
          {
            slot_id: slot.id,
            kind: @sent.text("step"),
            minute: @sent.minute,
            minutes: @sent.whole("minutes"),
            with_slot_id: other&.id
          }
        end
      end
    end
  end
end
