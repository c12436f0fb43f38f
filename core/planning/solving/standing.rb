# frozen_string_literal: true

module Core
  module Planning
    # What of an earlier plan is still possible, put onto a table as it follows.
    class Standing
      # The table holds what is kept.
      attr_reader :table

      def initialize(problem, frame = IndexedProblem.new(problem))
        @problem = problem
        @frame = frame
        @table = Table.new(frame)
      end

      # [Placement] of the earlier plan that still stand beside what is pinned. What they wait for and the earlier plan
      # does not hold is still to be fitted in before them.
      def placements
        @placements ||= begin
          @problem.pinned.each { |placement| keep(placement) }
          ordered.select { |placement| keep(placement) } - @problem.pinned
        end
      end

      private

      # As they follow one another: what begins a rehearsal stands without what comes after it, not the other way round
      # (whoever waits for what has not been put yet would have to warm up again).
      def ordered
        @order = @frame.windows.each_with_index.to_h { |window, i| [window.id, i] }
        rank = @frame.in_order.each_with_index.to_h { |job, i| [job.id, i] }
        list = @problem.plan.select { |each| rank.key?(each.task) && @order.key?(each.window) }
        ends = list.group_by(&:task).transform_values { |same| same.map { |each| time(each, each.end) }.max }
        list.reject { |each| too_early?(each, ends) }
          .sort_by { |each| [@order[each.window], each.start, rank[each.task]] }
      end

      # Whether something it waits for lies later in the earlier plan. ends: {task id => time}.
      def too_early?(placement, ends)
        job = @frame.job(placement.task)
        ids = ->(list) { list.filter_map { |i| ends[@frame.jobs[i].id] } }
        ids[job.after].any? { |at| at > time(placement, placement.start) } ||
          ids[job.after_window].any? { |at| at / Table::TIME >= @order[placement.window] }
      end

      def time(placement, minute) = (@order[placement.window] * Table::TIME) + (minute / @problem.grid)

      def keep(placement)
        job = @frame.job(placement.task) or return
        window = @frame.windows.index { |each| each.id == placement.window } or return
        start, steps = [placement.start, placement.minutes].map { |minutes| minutes / @problem.grid }
        room = @frame.windows[window].rooms.index { |id, _| id == placement.room }
        return unless room && @frame.rooms(job, window).include?(room) && fits?(job, window, start, steps, room)

        lead = lead(job, placement, @table.leads(job, window, start, steps)) or return
        @table.put(job, window, start, steps, room, lead)
        true
      end

      # Who led it leads it still, where they can; nil where nobody can.
      def lead(job, placement, free)
        return 0 if job.leads.empty?

        same = @frame.lead_of(job, placement)
        free.include?(same) ? same : free.first
      end

      def fits?(job, window, start, steps, room)
        return false if start.negative? || steps > @table.left[job.at] || start + steps > @frame.steps[window]

        people = @frame.attends(job, window, start, steps) or return false
        wanted = ((1 << steps) - 1) << start
        @table.free(job, window).allbits?(wanted) && @table.room_free?(window, room, wanted) &&
          @table.bearable?(people, window, start, steps) && in_turn?(job, (window * Table::TIME) + start, steps)
      end

      # Whether it comes after all that it waits for, and before all that waits for it, of what is kept so far.
      def in_turn?(job, at, steps)
        window = at / Table::TIME
        [*times(:ends, job.after), at].max == at && [*times(:starts, job.before), at + steps].min == at + steps &&
          times(:ends, job.after_window).all? { |time| time / Table::TIME < window } &&
          times(:starts, job.before_window).all? { |time| time / Table::TIME > window }
      end

      def times(name, jobs) = jobs.filter_map { |i| @table.public_send(name, @frame.jobs[i]) }
    end
  end
end
