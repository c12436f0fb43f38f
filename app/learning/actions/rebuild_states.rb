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
          keys = Records::Mapping::Learnings.keys(piece)
          Records::Piece.transaction { Records::Mapping::Learnings.refold(piece, keys) } if keys.any?
          after = states(piece)
          after.count { |key, state| before[key] != state }
        end

        def states(piece)
          piece.learning_states.to_h do |row|
            [Records::Mapping::Learnings.key_of(row), row.attributes.except("id")]
          end
        end
      end
    end
  end
end
