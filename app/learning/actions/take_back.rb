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
          rows = undone?(piece) ? refold(piece) : Records::Mapping::Learnings.append(piece, [undoing(piece)])
          CellStates.new(piece, rows, @today).to_a
        end

        private

        def undone?(piece) = piece.ledger_entries.exists?(undoes_id: @entry.id)
        def refold(piece) = Records::Mapping::Learnings.refold(piece, [Records::Mapping::Learnings.key_of(@entry)])

        def undoing(piece)
          {
            studio_id: piece.studio_id,
            piece_id: piece.id,
            person_id: @entry.person_id,
            item_key: @entry.item_key,
            track: @entry.track,
            layer: @entry.layer,
            covers_person_id: @entry.covers_person_id,
            kind: "undone",
            undoes_id: @entry.id,
            account_id: @account.id,
            by_name: @account.name,
            client_id: "undo:#{@entry.id}",
            day: @today,
            created_at: Shared::Clock.now
          }
        end
      end
    end
  end
end
