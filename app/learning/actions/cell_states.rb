# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Folded rows as the grid prints them: person, item and the classes of the ring.
      class CellStates
        def initialize(piece, rows, today)
          @ladder = Records::Mapping::Learnings.ladder(piece)
          @rows = rows
          @today = today
        end

        def to_a
          @rows.map { |row| { person: row[:person_id], item: row[:item_key], rung: row[:rung], ring: ring(row) } }
        end

        private

        def ring(row)
          cell =
            Core::Learning::Cell.new(
              rung: row[:rung],
              days: row[:days],
              last_danced_on: row[:last_danced_on],
              changed: row[:changed_since]
            )
          Shared::Ring.classes(cell, @ladder, @today)
        end
      end
    end
  end
end
