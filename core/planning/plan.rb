# frozen_string_literal: true

module Core
  module Planning
    # What the solver answers: placements in time order, what did not fit, and why.
    # unplaced: {task id => minutes}.
    class Plan
      Call = Struct.new(:window, :who, :call, :release, :waiting, keyword_init: true)
      attr_reader :placements, :unplaced, :reasons, :seed, :iterations, :ready_bound, :changes, :stopped_by, :repairs, :problem

      # changes: Changes::Count against an earlier plan; repairs: [Repairs::Repair] that were tried and work.
      def initialize(problem, placements, unplaced: {}, reasons: [], seed: 0, iterations: 0, ready_bound: nil, changes: nil, stopped_by: "iterations", proven_impossible: false, repairs: [])
        @ready_bound = ready_bound
        @changes = changes
        @stopped_by = stopped_by
        @proven_impossible = proven_impossible
        @repairs = repairs
        @problem = problem
        @order = problem.windows.each_with_index.to_h { |window, i| [window.id, i] }
        @tasks = problem.tasks.to_h { |task| [task.id, task] }
        @placements = placements.sort_by { |p| [@order[p.window], p.start, p.room.to_s, p.task.to_s] }.freeze
        @unplaced = unplaced
        @reasons = reasons
        @seed = seed
        @iterations = iterations
      end

      def complete? = unplaced.empty?
      def proven_impossible? = @proven_impossible

      # The same plan with repairs that were tried.
      def with_repairs(repairs) = dup.tap { |plan| plan.instance_variable_set(:@repairs, repairs) }

      def unplaced_minutes = unplaced.values.sum

      # Id of the window that holds the last run (or the last task, where there are no runs).
      def ready_window
        runs = placements.select { |placement| @tasks[placement.task].run? }
        (runs.empty? ? placements : runs).max_by { |placement| @order[placement.window] }&.window
      end

      # When each person is needed in each rehearsal; minutes after the window's start.
      def calls
        @calls ||= placements.group_by(&:window).flat_map { |window, blocks| calls_in(window, blocks) }
      end

      # Σ over person × rehearsal of waiting plus the cost of coming.
      def cost = calls.sum { |call| call.waiting + @problem.trip_cost }

      private

      def calls_in(window, blocks)
        by_person = Hash.new { |hash, who| hash[who] = [] }
        blocks.each { |block| @tasks[block.task].people.each { |who| by_person[who] << block } }
        by_person.sort_by { |who, _| who.to_s }.map { |who, own| call(window, who, own) }
      end

      def call(window, who, blocks)
        from = blocks.map(&:start).min
        to = blocks.map(&:end).max
        Call.new(window:, who:, call: from, release: to, waiting: to - from - blocks.sum(&:minutes))
      end
    end
  end
end
