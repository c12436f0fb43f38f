# frozen_string_literal: true

module Core
  module Planning
    # One number for a table, the least best: minutes without a place first; with a target, an even load over the weeks
    # next; then what it costs in waiting and trips, and how much it changes what people were told.
    class Score
      PLACED = 10**9
      EVEN = 10**5
      # Work of a week is compared in half hours.
      LOAD = 30.0

      # even: load the weeks evenly; told: Disturbance against an earlier plan, or nil.
      def initialize(frame, even: false, told: nil)
        @frame = frame
        @even = even
        @told = told
      end

      def of(table)
        (table.unplaced * @frame.minutes(1) * PLACED) + (@even ? (unevenness(table) * EVEN).round : 0) + table.cost +
          (@told ? @told.price(table) : 0)
      end

      # What so many more steps in a window add to the unevenness of its week.
      def of_load(table, window, steps)
        return 0 unless @even

        work = @frame.minutes(table.week_steps[@frame.weeks[window]])
        ((((work + @frame.minutes(steps)) / LOAD)**2) - ((work / LOAD)**2)) * EVEN
      end

      private

      # Sum of squares of the weeks' work, in half hours.
      def unevenness(table)
        table.week_steps.values.sum { |steps| (@frame.minutes(steps) / LOAD)**2 }.round(1)
      end
    end
  end
end
