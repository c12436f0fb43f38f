# frozen_string_literal: true

module Core
  module Planning
    # Problem in, Plan out. Serial placement: each task in its order goes to the first place where everybody is
    # free, the room holds them, and nobody works too long without a rest.
    class Solver
      def initialize(problem, seed: 0)
        @problem = problem
        @seed = seed
        @windows = problem.windows.each_with_index.to_h { |window, i| [window.id, i] }
        @calendar = Calendar.new(problem)
        @board = Board.new(problem, @calendar)
        @ends = {}
        @unplaced = {}
      end

      def plan
        @problem.in_order.each { |task| settle(task) }
        reasons = @unplaced.empty? ? [] : Shortfall.new(@problem, @unplaced, @calendar).reasons
        Plan.new(@problem, @board.placements, unplaced: @unplaced, reasons:, seed: @seed, iterations: 1)
      end

      private

      def settle(task)
        from = earliest(task)
        left = @problem.left(task) / @problem.grid
        left = from ? place(task, left, *from) : left
        @unplaced[task.id] = left * @problem.grid if left.positive?
        @ends[task.id] = nil if left.positive?
      end

      # [window index, step] before which the task may not start; nil when it waits for something unplaced.
      def earliest(task)
        waits = task.before.select { |id| @ends.key?(id) }
        return if waits.any? { |id| @ends[id].nil? }

        same = task.after.filter_map { |id| @ends[id] }
        later = task.after_window.filter_map { |id| @ends[id] }.map { |window, _| [window + 1, 0] }
        [[first_open, 0], *same, *later].max
      end

      def first_open = @problem.windows.size - @problem.open_windows.size

      def place(task, left, window, step)
        @ends[task.id] = [window, step]
        people = @calendar.bits(task.people)
        while left.positive? && window < @problem.windows.size
          steps, start, room = fit(task, window, people, left, step)
          left -= put(task, window, start, steps, room) if start
          window += 1
          step = 0
        end
        left
      end

      def put(task, window, start, steps, room)
        @board.place(task, window, start, steps, room)
        @ends[task.id] = [window, start + steps]
        steps
      end

      # The longest part that fits: [steps, start, room] or nil.
      def fit(task, window, people, left, from)
        lengths(task, left, cap(task, window)).each do |steps|
          start, room = @board.first_fit(window, people, task.dancers.size, steps, from:)
          return [steps, start, room] if start
        end
        nil
      end

      # Steps of the task that this rehearsal may hold before its dancers have enough that is new.
      def cap(task, window)
        eights = @board.room_for_new(task, window) or return Float::INFINITY
        steps_for(task, eights)
      end

      def steps_for(task, eights)
        task.eights.zero? ? 0 : ((eights * task.minutes / (task.eights * @problem.grid)) + 1e-9).floor
      end

      # Lengths to try, longest first. A task that cannot be split within the cap takes its smallest part, once
      # its dancers learn nothing else that is new in the same rehearsal.
      def lengths(task, left, cap)
        fitting, over = parts(task, left).partition { |steps| steps <= cap }
        fitting.empty? && cap == full(task) ? over.last(1) : fitting
      end

      def parts(task, left)
        least = @problem.min_part / @problem.grid
        return [left] unless task.split && left > least

        [@problem.max_part / @problem.grid, left].min.downto(least).select { |steps| left == steps || left - steps >= least }
      end

      def full(task) = steps_for(task, @problem.most_new_eights || 0)
    end
  end
end
