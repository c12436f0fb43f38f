# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Folded rows as the grid prints them: person, item and the classes of the ring.
      class CellStates
        # progress: Core::Learning::Progress of the piece, for its ladder and its ways of counting.
        def initialize(progress, rows, today)
          @progress = progress
          @rows = rows
          @today = today
        end

        def to_a
          @rows.map { |row| { person: row[:person_id], item: row[:item_key], rung: row[:rung], ring: ring(row) } }
        end

        private

        def ring(row)
          Shared::Ring.classes(
            Records::Mapping::Learnings.cell_of(row), @progress.ladder, @today, @progress.way(row[:item_key])
          )
        end
      end
    end
  end
end
