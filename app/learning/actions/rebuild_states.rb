# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Folds all states of a studio's running and past pieces from their logs; answers how many differed.
      class RebuildStates
        def initialize(studio) = @studio = studio

        def run = @studio.pieces.sum { |piece| rebuild(piece) }

        private

        def rebuild(piece)
          before = states(piece)
          keys = piece.ledger_entries.distinct.pluck(:person_id, :item_key) | before.keys
          Records::Piece.transaction { Records::Mapping::Learnings.refold(piece, keys) } if keys.any?
          after = states(piece)
          after.count { |key, state| before[key] != state }
        end

        def states(piece)
          piece.learning_states
            .pluck(:person_id, :item_key, :rung, :days, :last_danced_on, :signed_off, :changed_since)
            .to_h { |row| [row.first(2), row.drop(2)] }
        end
      end
    end
  end
end
