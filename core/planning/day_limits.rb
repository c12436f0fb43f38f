# frozen_string_literal: true

module Core
  module Planning
    # What a day asks of people who may only do so much: their work on a table, what they rehearse elsewhere, warm-up and
    # cool-down once a rehearsal, and warming up again.
    class DayLimits
      # work: per window and step, the set of people at work on anything.
      def initialize(table, work)
        @table = table
        @frame = table.frame
        @work = work
        @spent = Hash.new(0)
      end

      def count(job, window, steps)
        date = @frame.dates[window]
        @frame.limits(date).map(&:first).each { |bit| @spent[[date, bit]] += steps if job.people[bit] == 1 }
      end

      # Whether everybody of a job may also work on so many steps from a start.
      def allow?(job, window, start, steps)
        date = @frame.dates[window]
        @frame.limits(date).none? { |bit, most| job.people[bit] == 1 && steps + @spent[[date, bit]] + beside(date, bit, window, start, steps) > most }
      end

      private

      def beside(date, bit, window, start, steps)
        windows = @frame.on(date)
        there = windows.count { |i| i == window || @table.there(i)[bit] == 1 }
        again = windows.sum { |i| warmed_again(i, bit, (start...(start + steps) if i == window)) }
        @frame.elsewhere(date, bit) + (@frame.around * there) + again
      end

      # Steps of warming up again of one dancer in a window, were they also at work on some further steps.
      def warmed_again(window, bit, more)
        return 0 if @frame.rewarm.nil? || @frame.dancing[bit].zero?

        idle, steps = @frame.rewarm
        at = @work[window].each_index.select { |step| @work[window][step][bit] == 1 || more&.cover?(step) }
        steps * at.each_cons(2).count { |a, b| b - a - 1 >= idle }
      end
    end
  end
end
