# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Undoes one entry of the log by adding another.
      class TakeBack
        # The row of the log that takes another one back.
        def self.line(piece, entry, account, today)
          Shared::LogLine.of(piece, account, today).merge(
            entry.slice(:person_id, :item_key, :track, :layer, :covers_person_id).symbolize_keys
          ).merge(kind: "undone", rung: 0, undoes_id: entry.id, client_id: "undo:#{entry.id}")
        end

        def initialize(entry, account, today)
          @entry = entry
          @account = account
          @today = today
        end

        def run
          piece = @entry.piece
          progress = Reading::PieceSnapshots.of_work(piece).progress
          rows = undone?(piece) ? refold(piece) : Records::Mapping::Learnings.append(piece, [undoing(piece)])
          CellStates.new(progress, rows, @today).to_a
        end

        private

        def undone?(piece) = piece.ledger_entries.exists?(undoes_id: @entry.id)
        def refold(piece) = Records::Mapping::Learnings.refold(piece, [Records::Mapping::Learnings.key_of(@entry)])

        def undoing(piece) = TakeBack.line(piece, @entry, @account, @today)
      end
    end
  end
end
