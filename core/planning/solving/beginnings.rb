# frozen_string_literal: true

module Core
  module Planning
    # Tables the search begins from, with what is pinned on them: by serial placement, and what people were told.
    class Beginnings
      # So many shaken ones.
      SHAKEN = 6

      def initialize(problem, frame)
        @problem = problem
        @frame = frame
        @construct = Construct.new(frame)
        @fixed = problem.pinned.map(&:task)
      end

      # [Table], one by each rule; last: the last window for runs.
      def by_rules(last = @frame.steps.size - 1)
        Construct::RULES.keys.map { |rule| @construct.table(rule, last:, table: pinned) }
      end

      # [Table] by the longest tail, shaken.
      def shaken(random, last) = Array.new(SHAKEN) { @construct.shaken(random, last:, table: pinned) }

      # The earlier plan as far as it still stands, filled up; where something finds no place, nothing stands that waits
      # for it.
      def told
        table = fill(Standing.new(@problem, @frame).tap(&:placements).table)
        return table if table.unplaced.zero?

        let_go(table)
        fill(table)
      end

      private

      def pinned
        table = Table.new(@frame)
        windows = @frame.windows.each_with_index.to_h { |window, i| [window.id, i] }
        @problem.pinned.each do |placement|
          job = @frame.job(placement.task)
          window = windows[placement.window] or next
          room = @frame.windows[window].rooms.index { |id, _| id == placement.room }
          put(table, job, window, placement, room) if job && room && table.left[job.at].positive?
        end
        table
      end

      def put(table, job, window, placement, room)
        start, steps = [placement.start, placement.minutes].map { |minutes| minutes / @problem.grid }
        table.put(job, window, start, steps, room, @frame.lead_of(job, placement))
      end

      def fill(table)
        @construct.fill(table, @frame.jobs.map { |job| [job.urgent ? 0 : 1, -job.tail, job.at] }, @frame.steps.size - 1)
      end

      # Takes out what waits for something that has no place.
      def let_go(table)
        @frame.in_order.each do |job|
          early = (job.after + job.after_window).any? { |i| !table.placed?(@frame.jobs[i]) }
          table.take(job) if early && !@fixed.include?(job.id)
        end
      end
    end
  end
end
