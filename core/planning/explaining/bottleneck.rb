# frozen_string_literal: true

module Core
  module Planning
    # Whether tasks fit into the rehearsals in which they can be. A flow of tasks into rehearsals; where it falls short,
    # the minimum cut says which tasks fit only which dates (max-flow min-cut theorem: Ford and Fulkerson 1956).
    class Bottleneck
      # indexed: an IndexedProblem; windows: its rehearsals still open.
      def initialize(indexed, windows)
        @indexed = indexed
        @windows = windows
      end

      # A reason of this type, or nil where all fits. tasks: jobs; capacity: steps that a window holds, by its index;
      # who: the people it is about, nil for rooms.
      def of(tasks, capacity, type, who)
        flow = flow(tasks, capacity)
        need = tasks.sum(&:steps)
        short = need - flow.most
        return unless short.positive?

        side = flow.source_side
        tight = tasks.select { |job| side.include?([:task, job.at]) }
        windows = @indexed.steps.each_index.select { |window| tight.any? { |job| part(job, window).positive? } }
        wanted = tight.sum(&:steps)
        Reason.new(
          type:,
          who:,
          need: @indexed.minutes(wanted),
          have: @indexed.minutes(wanted - short),
          tasks: tight.map(&:id),
          windows: windows.map { |window| @windows[window].id }
        )
      end

      # The longest run of free steps in a set of steps.
      def longest(set)
        steps = 0
        steps += 1 until Table.runs(set, steps + 1).zero?
        steps
      end

      private

      def flow(tasks, capacity)
        flow = Flow.new(:source, :sink)
        @indexed.steps.each_index { |window| flow.edge([:window, window], :sink, capacity.call(window)) }
        tasks.each do |job|
          flow.edge(:source, [:task, job.at], job.steps)
          @indexed.steps.each_index do |window|
            most = part(job, window)
            flow.edge([:task, job.at], [:window, window], most) if most.positive?
          end
        end
        flow
      end

      # The most of a job that a rehearsal can hold.
      def part(job, window)
        return 0 if @indexed.rooms(job, window).empty?

        steps = longest(@indexed.open(job, window))
        whole = !job.split || job.steps <= @indexed.least
        if steps < (whole ? job.steps : @indexed.least)
          0
        else
          whole ? job.steps : [steps, @indexed.most, job.steps].min
        end
      end
    end
  end
end
