# frozen_string_literal: true

module App
  module Shared
    # What every note of a piece has that is written at a desk: where, who wrote it, when, and a key of its own.
    module NoteRow
      module_function

      def of(piece, account)
        now = Clock.now
        {
          studio_id: piece.studio_id, piece_id: piece.id, by_name: account.name, said_at: (now.to_f * 1000).to_i,
          client_id: "desk-#{SecureRandom.hex(12)}", created_at: now
        }
      end
    end
  end
end
