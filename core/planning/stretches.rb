# frozen_string_literal: true

module Core
  module Planning
    # Whether a new block would make somebody work longer without a rest than allowed. A person's work is one
    # stretch until an idle gap of at least `rest` steps. Works on whole sets of people at once.
    class Stretches
      def initialize(busy, rest:, most:)
        @busy = busy
        @rest = rest
        @most = most
      end

      # busy: per step, the set of people at work. True when people may also work on steps from...to.
      def allow?(people, from, to)
        before = reach(people, from, -1)
        after = reach(people, to - 1, 1)
        before.none? do |start, early|
          after.any? { |finish, late| early.anybits?(late) && finish - start + 1 > @most }
        end
      end

      private

      # How far existing work that touches the block's edge goes in one direction: {step => people}.
      def reach(people, edge, direction)
        edges = { edge => people }
        step = edge + direction
        while step.between?(0, @busy.size - 1)
          near = edges.select { |at, _| (at - step).abs <= @rest }
          break if near.empty?

          extend_to(step, near, edges)
          step += direction
        end
        edges
      end

      def extend_to(step, near, edges)
        working = @busy[step] & near.values.reduce(0, :|)
        return if working.zero?

        near.each { |at, set| set.anybits?(working) && edges[at] = set & ~working }
        edges[step] = working
      end
    end
  end
end
