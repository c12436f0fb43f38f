# frozen_string_literal: true

module App
  module Learning
    module Actions
      # What every line of a piece's log has: where, who wrote it, when.
      module LogLine
        module_function

        def of(piece, account, today)
          {
            studio_id: piece.studio_id,
            piece_id: piece.id,
            account_id: account&.id,
            by_name: account&.name.to_s,
            client_id: nil,
            day: today,
            created_at: Shared::Clock.now
          }
        end
      end
    end
  end
end
