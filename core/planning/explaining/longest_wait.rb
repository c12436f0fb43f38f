# frozen_string_literal: true

module Core
  module Planning
    # What waits for what needs more rehearsals, one after another, than there are: the longest such line.
    class LongestWait
      def initialize(indexed)
        @indexed = indexed
        @earliest = Bound.new(indexed).earliest
      end

      # [Reason], one or none.
      def reasons
        stuck = @indexed.in_order.select { |job| @earliest[job.at] >= @indexed.steps.size }
        line = stuck.map { |job| line_to(job) }.max_by.with_index { |each, i| [depth(each), -i] } or return []
        [Reason.new(type: :precedence, need: depth(line), have: @indexed.steps.size, tasks: line.map(&:id), windows: [],
                    unit: :rehearsals)]
      end

      private

      # The chain of jobs that makes one late, first to last.
      def line_to(job)
        line = [job]
        while (earlier = (line.first.after + line.first.after_window).max_by { |i| @earliest[i] })
          line.unshift(@indexed.jobs[earlier])
        end
        line
      end

      # Rehearsals that a line of jobs takes at the least; one more than there are where that alone does not tell.
      def depth(line)
        apart = line.each_cons(2).count { |a, b| b.after_window.include?(a.at) } + 1
        [apart, @indexed.steps.size + 1].max
      end
    end
  end
end
