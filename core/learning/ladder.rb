# frozen_string_literal: true

module Core
  module Learning
    # The rungs of "learned", from not seen (0) upward, and the rung from which something counts as learned.
    class Ladder < Values::Value.of(rungs: %w[not_seen shown slow tempo music unprompted].freeze, learned_from: 4)
      DEFAULT = new

      # The highest rung's number.
      def top = rungs.size - 1

      # Whether a rung (a number from 0) counts as learned.
      def learned?(rung) = rung >= learned_from

      # A rung's number by its name. Raises ValueError where there is none.
      def index(name)
        rungs.index(name) || raise(ValueError.new("rung", "must be one of #{rungs.join(', ')}, got #{name.inspect}"))
      end

      private

      def settle
        return if learned_from.between?(1, rungs.size - 1)

        raise ValueError.new("learned_from", "must be 1 to #{rungs.size - 1}, got #{learned_from}")
      end
    end
  end
end
