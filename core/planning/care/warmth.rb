# frozen_string_literal: true

module Core
  module Planning
    # The one rule of warmth: whoever was at work and then idle for so long is cold, and warms up again just before
    # going on. Counted in whatever unit `idle` and `again` are given in: minutes, or steps of a grid.
    class Warmth < Values::Value.of(:idle, :again)
      # pair: [idle, again] or nil for a problem in which nobody grows cold.
      def self.of(pair) = pair && new(idle: pair.first, again: pair.last)

      # Whether a gap between two stretches of work is one after which one is cold.
      def cold_after?(gap) = gap >= idle

      # Starts of the stretches that begin cold. spans: [[from, to], …] of one person's work, in any order.
      def cold_starts(spans)
        last = nil
        spans.sort.filter_map do |from, to|
          cold = last && cold_after?(from - last)
          last = [last, to].compact.max
          from if cold
        end
      end

      # How many of these steps are worked cold. steps: one person's steps at work, in rising order.
      def cold_steps(steps) = steps.each_cons(2).count { |before, step| cold_after?(step - before - 1) }

      # Those (a set) who worked before a step, but so long ago that they are cold. worked: sets of people, a step each.
      def cold(worked, step)
        since = [step - idle, 0].max
        worked.first(since).reduce(0, :|) & ~worked[since...step].reduce(0, :|)
      end

      # Each step's set of those who begin it cold, for all steps at once.
      def cold_at_each(worked)
        began = 0
        recent = [0] * idle
        worked.map do |working|
          cold = working & began & ~recent.reduce(0, :|)
          recent.rotate!(-1)
          recent[0] = working
          began |= working
          cold
        end
      end
    end
  end
end
