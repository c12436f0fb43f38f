# frozen_string_literal: true

module Core
  module Planning
    # Serial placement: jobs in an order of priority, each where it goes earliest, none before what it waits for.
    class Construct
      # Orders to try; each answers a number for a job, the least first.
      RULES = {
        as_given: ->(job, _) { job.at },
        urgent: ->(job, _) { [job.urgent ? 0 : 1, -job.tail, job.at] },
        longest_tail: ->(job, _) { [-job.tail, job.at] },
        fewest_dates: ->(job, dates) { [dates[job.at], -job.tail, job.at] },
        largest_call: ->(job, _) { [-Values::Bits.count(job.people), -job.tail, job.at] }
      }.freeze

      def initialize(frame)
        @frame = frame
      end

      # A table by a rule. last: the last window for runs (or for everything, where there are none).
      def table(rule, last: @frame.steps.size - 1, table: Table.new(@frame))
        dates = rule == :fewest_dates ? @frame.jobs.map { |job| possible(job) } : []
        key = RULES.fetch(rule)
        fill(table, @frame.jobs.map { |job| [*key.call(job, dates)] }, last)
      end

      # A table by the longest tail, shaken.
      def shaken(random, last: @frame.steps.size - 1, table: Table.new(@frame))
        fill(
          table,
          @frame.jobs.map { |job| [job.urgent ? 0 : 1, -job.tail * (0.6 + (random.rand * 0.8)), job.at] },
          last
        )
      end

      # Places what is not placed yet.
      def fill(table, priority, last)
        places = Places.new(table)
        waiting = @frame.jobs.map { |job| (job.after + job.after_window).count { |i| !table.placed?(@frame.jobs[i]) } }
        ready = @frame.jobs.select { |job| waiting[job.at].zero? && !table.placed?(job) }
        until ready.empty?
          job = ready.min_by { |each| priority[each.at] }
          ready.delete(job)
          bounds = places.bounds(job, limit(job, last)) or next
          next unless places.early(job, bounds)

          (job.before + job.before_window).each do |i|
            (waiting[i] -= 1).zero? && !table.placed?(@frame.jobs[i]) && (ready << @frame.jobs[i])
          end
        end
        table
      end

      # The last window a job may lie in when runs are to be done by `last`.
      def limit(job, last) = job.run || !any_runs? ? last : @frame.steps.size - 1

      private

      def any_runs? = @frame.runs?

      # Windows in which everybody of a job is there at all.
      def possible(job) = @frame.steps.each_index.count { |window| !@frame.open(job, window).zero? }
    end
  end
end
