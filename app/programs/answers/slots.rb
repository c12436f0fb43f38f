# frozen_string_literal: true

module App
  module Programs
    module Answers
      # The slots people were told, with who is called.
      class Slots
        def initialize(piece, _now) = @piece = piece

        def rows
          plan = @piece.published_plan or return []
          slots = plan.slots.includes(:room, :rehearsal, :slot_people)
          slots.sort_by { |slot| [slot.rehearsal.date, slot.start_minute, slot.id] }.map { |slot| row(slot) }
        end

        private

        def row(slot)
          called = slot.slot_people.group_by(&:role).transform_values { |same| same.map(&:person_id).sort }
          { id: slot.id, rehearsal: slot.rehearsal_id, date: slot.rehearsal.date.iso8601,
            start: clock(slot.start_minute), end: clock(slot.end_minute), room: slot.room&.name, kind: slot.kind,
            title: slot.title, from_link: slot.from_link, to_link: slot.to_link,
            dancers: called.fetch("dancer", []), others: called.except("dancer").values.flatten.sort }
        end

        def clock(minutes) = Formats::Times.clock(minutes)
      end
    end
  end
end
