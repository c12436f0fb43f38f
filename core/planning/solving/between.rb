# frozen_string_literal: true

module Core
  module Planning
    # Between which times a job may lie, by what comes before and after it on a table.
    class Between
      def initialize(table)
        @table = table
        @frame = table.frame
      end

      # [earliest time, latest time]; nil when something it waits for is not placed. last: the last window it may lie
      # in.
      def of(job, last)
        low = low(job) or return
        [low, high(job, last)]
      end

      private

      def low(job)
        jobs = @frame.jobs
        low = 0
        job.after.each do |i|
          (ends = @table.placed?(jobs[i]) && @table.ends(jobs[i])) ? (low = ends if ends > low) : (return nil)
        end
        job.after_window.each do |i|
          return nil unless @table.placed?(jobs[i])

          next_window = ((@table.ends(jobs[i]) / Table::TIME) + 1) * Table::TIME
          low = next_window if next_window > low
        end
        low
      end

      def high(job, last)
        jobs = @frame.jobs
        # Before all time where no rehearsal is left.
        high = (last * Table::TIME) + @frame.steps.fetch(last, 0)
        job.before.each { |i| (starts = @table.starts(jobs[i])) && starts < high && (high = starts) }
        job.before_window.each do |i|
          starts = @table.starts(jobs[i]) or next
          window = (starts / Table::TIME) - 1
          limit = window.negative? ? 0 : (window * Table::TIME) + @frame.steps[window]
          high = limit if limit < high
        end
        high
      end
    end
  end
end
