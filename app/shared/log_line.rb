# frozen_string_literal: true

module App
  module Shared
    # What every line of a piece's learning log has: where, who wrote it, when.
    module LogLine
      module_function

      # account: who is signed in, or nil where a dancer writes by their own name.
      def of(piece, account, today, by_name: account.name)
        {
          studio_id: piece.studio_id,
          piece_id: piece.id,
          account_id: account&.id,
          by_name:,
          client_id: nil,
          day: today,
          created_at: Clock.now
        }
      end
    end
  end
end
