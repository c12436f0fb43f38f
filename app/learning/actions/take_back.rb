# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Undoes one entry of the log by adding another.
      class TakeBack
        def initialize(entry, account, today)
          @entry = entry
          @account = account
          @today = today
        end

        def run
          piece = @entry.piece
          rows = Records::LedgerEntry.transaction do
            undo(piece) unless piece.ledger_entries.exists?(undoes_id: @entry.id)
            Records::Mapping::Learnings.refold(piece, [[@entry.person_id, @entry.item_key]])
          end
          CellStates.new(piece, rows, @today).to_a
        end

        private

        def undo(piece)
          piece.ledger_entries.create!(
            studio_id: piece.studio_id,
            person_id: @entry.person_id,
            item_key: @entry.item_key,
            kind: "undone",
            undoes_id: @entry.id,
            account: @account,
            by_name: @account.name,
            day: @today,
            created_at: Shared::Clock.now
          )
        end
      end
    end
  end
end
