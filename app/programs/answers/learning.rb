# frozen_string_literal: true

module App
  module Programs
    module Answers
      # Who has learned what of their own part: a row for every dancer and everything they dance.
      class Learning
        def initialize(piece, now)
          @snapshot = Reading::PieceSnapshots.of(piece)
          @today = now.to_date
        end

        def rows
          @snapshot.items.columns.flat_map do |item|
            @snapshot.items.dancers(item).sort.map { |id| row(id, item) }
          end
        end

        private

        def row(id, item)
          progress = @snapshot.progress
          cell = progress.cell(id, item.key)
          { person: id, name: @snapshot.people[id]&.name, item: item.key.to_s, what: Shared::ItemName.of(item),
            kind: item.kind.to_s, rung: cell.rung, rung_name: Shared::Ring.word(cell.rung),
            learned: progress.learned?(id, item.key), fading: cell.freshness(@today).to_s, changed: cell.changed }
        end
      end
    end
  end
end
