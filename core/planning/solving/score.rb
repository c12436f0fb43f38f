# frozen_string_literal: true

module Core
  module Planning
    # One number for a table, the least best: minutes without a place first (of pieces that go first before others); the
    # days by which the first aim is missed; with a target, an even load over the weeks; then what it costs in waiting
    # and trips, and how much it changes what people were told.
    class Score
      PLACED = 10**9
      # A day by which the first aim is missed, and one by which the others are.
      AIM = 10**6
      LATER_AIM = 10**3
      # Work of a week is compared in half hours.
      LOAD = 30.0

      # A person-minute that is missed of what nobody could catch up.
      DEAR = 20

      # even: load the weeks evenly; told: Disturbance against an earlier plan, or nil; dear: jobs of which a missed
      # minute counts more.
      def initialize(frame, even: false, told: nil, dear: [])
        @dear = dear
        @frame = frame
        @even = even
        @told = told
        @aims = aims
        @order = frame.jobs.map(&:order).max || 1
      end

      def of(table)
        above(table) + table.cost + (@told ? @told.price(table) : 0) + (@dear.empty? ? 0 : missed(table))
      end

      # What a job adds in a window to the unevenness of its week, and by being new there.
      def of_load(table, job, window)
        fresh = @frame.prices ? @frame.prices.of_new(job, window) : 0
        fresh += of_dear(job, window) if @dear.include?(job)
        return fresh unless @even

        work = @frame.minutes(table.week_steps[@frame.weeks[window]])
        fresh + (((((work + @frame.minutes(job.steps)) / LOAD)**2) - ((work / LOAD)**2)) * @frame.problem.even)
      end

      # Minutes without a place and days of aims alone.
      def first(table) = (table.unplaced.zero? ? 0 : lost(table)) + (@aims.empty? ? 0 : late(table))

      # Days by which the first aim that is missed is missed; 0 where all are met.
      def first_aim_missed(table) = days(table).find(&:positive?) || 0

      private

      def of_dear(job, window)
        set = job.may & ~@frame.expected(job, window)
        set.zero? ? 0 : Values::Bits.count(set) * @frame.minutes(job.steps) * DEAR
      end

      # What comes before all cost.
      def above(table)
        sum = first(table)
        @even ? sum + (unevenness(table) * @frame.problem.even).round : sum
      end

      # [[jobs of an aim, its day], …] in order of date.
      def aims
        aims = @frame.problem.aims.map { |aim| [@frame.job(aim[:task]), Date.iso8601(aim[:date]).jd] }
        aims.select(&:first).sort_by { |job, day| [day, job.at] }
      end

      def days(table)
        @aims.map do |job, day|
          last = table.blocks[job.at].map(&:window).max
          last && table.placed?(job) ? [@frame.windows[last].day - day, 0].max : 0
        end
      end

      def late(table)
        missed = days(table)
        ((missed.find(&:positive?) || 0) * AIM) + ([missed.sum, 900].min * LATER_AIM)
      end

      def lost(table)
        order = @frame.jobs.sum { |job| table.left[job.at] * (@order - job.order) }
        (table.unplaced * @frame.minutes(1) * PLACED) + (order * PLACED / 1000)
      end

      def missed(table)
        steps = @dear.sum do |job|
          table.blocks[job.at].sum { |block| Values::Bits.count(job.may & ~block.people) * block.steps }
        end
        @frame.minutes(steps) * DEAR
      end

      # Sum of squares of the weeks' work, in half hours.
      def unevenness(table)
        table.week_steps.values.sum { |steps| (@frame.minutes(steps) / LOAD)**2 }.round(1)
      end
    end
  end
end
