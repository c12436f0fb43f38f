# frozen_string_literal: true

module Core
  module Planning
    # Whether a new block would make somebody work longer without a rest than allowed. A person's work is one
    # stretch until an idle gap of at least `rest` steps; warming up again before it, after a longer idle time, belongs
    # to it. Works on whole sets of people at once.
    class Stretches
      # busy: per step, the set of people at work; rewarm: [idle steps, steps] or nil; dancing: the set of those who
      # warm up.
      def initialize(busy, rest:, most:, rewarm: nil, dancing: 0)
        @busy = busy
        @rest = rest
        @most = most
        @warmth = Warmth.of(rewarm)
        @dancing = dancing
      end

      # True when people may also work on steps from...to.
      def allow?(people, from, to)
        before = reach(people, from, -1)
        after = reach(people, to - 1, 1)
        too_long = before.any? do |start, early|
          after.any? { |finish, late| early.anybits?(late) && over?(start, finish, early & late) }
        end
        !too_long && (@warmth.nil? || next_allowed?(people, to))
      end

      # True when none of these people's stretches is too long as it is: where work was taken out, somebody may have
      # become cold before what is left.
      def sound?(people)
        @busy.each_index.all? do |step|
          begins = people & @busy[step] & ~@busy[[step - @rest, 0].max...step].reduce(0, :|)
          begins.zero? || reach(begins, step, 1).none? { |finish, set| over?(step, finish, set) }
        end
      end

      private

      # Whether a stretch is too long for any of these, what they need to get warm for it included.
      def over?(start, finish, people)
        steps = finish - start + 1
        return true if steps > @most

        return false if @warmth.nil? || steps + @warmth.again <= @most

        (people & @dancing).anybits?(@warmth.cold(@busy, start))
      end

      # The block makes a later stretch one that needs warming up: it must still not be too long.
      def next_allowed?(people, to)
        apart = [@warmth.idle, @rest].max
        waiting = people & @dancing & ~@busy[to, apart].to_a.reduce(0, :|)
        step = to + apart
        while waiting.positive? && step < @busy.size
          begin_here = waiting & @busy[step]
          return false if begin_here.positive? && too_long_warmed?(begin_here, step)

          waiting &= ~begin_here
          step += 1
        end
        true
      end

      def too_long_warmed?(people, step)
        reach(people, step, 1).any? { |finish, _| finish - step + 1 + @warmth.again > @most }
      end

      # How far existing work that touches the block's edge goes in one direction: [[step, people], …]. recent: by how
      # many steps back from the next one their work has come so far.
      def reach(people, edge, direction)
        edges = []
        recent = [people] + ([0] * (@rest - 1))
        step = edge + direction
        while step.between?(0, @busy.size - 1) && recent.any?(&:positive?)
          working = @busy[step] & recent.reduce(:|)
          ended = recent.pop & ~working
          edges << [step - (direction * @rest), ended] if ended.positive?
          recent.map! { |set| set & ~working } if working.positive?
          recent.unshift(working)
          step += direction
        end
        recent.each_with_index { |set, back| edges << [step - (direction * (back + 1)), set] if set.positive? }
        edges
      end
    end
  end
end
