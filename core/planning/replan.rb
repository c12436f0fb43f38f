# frozen_string_literal: true

module Core
  module Planning
    # A plan after something changed (an absence, an overrun, a cancelled rehearsal), beside the one people were told.
    # Two ways are tried: repair keeps all of the old plan that still stands and fits the rest in; anew solves everything,
    # with a price on what changes. Each answers a Plan with its Changes.
    class Replan
      def initialize(problem, **how)
        @problem = problem
        @how = how
      end

      # What still stands of the earlier plan stays; the rest is fitted in around it.
      def repair = @repair ||= Solver.new(@problem.with(pinned: [*@problem.pinned, *standing]), **@how).plan

      def anew = @anew ||= Solver.new(@problem, **@how).plan

      # By slip against what was promised first, then by what changes for people, then by waiting.
      def best = [repair, anew].min_by.with_index { |plan, i| [plan.unplaced_minutes, slip(plan), weight(plan), plan.cost, i] }

      # How many rehearsals later than promised a plan is ready; 0 when it is not later.
      def slip(plan) = [index(plan.ready_window) - index(@problem.promised), 0].max

      private

      def index(window) = @problem.windows.index { |each| each.id == window } || @problem.windows.size
      def weight(plan) = (plan.changes.new_calls * Changes::NEW) + (plan.changes.cancelled * Changes::CANCELLED) + (plan.changes.shifted * Changes::SHIFTED)

      # Placements of the earlier plan that are still possible, kept in order of what waits for what.
      def standing
        frame = Frame.new(@problem.with(pinned: [], recap: 0, to_music: 0))
        table = Table.new(frame)
        @problem.pinned.each { |placement| keep(placement, frame, table) }
        ordered(frame).select { |placement| keep(placement, frame, table) } - @problem.pinned
      end

      def ordered(frame)
        rank = frame.in_order.each_with_index.to_h { |job, i| [job.id, i] }
        @problem.plan.select { |placement| rank.key?(placement.task) }.sort_by { |placement| [rank[placement.task], placement.window.to_s, placement.start] }
      end

      def keep(placement, frame, table)
        job = frame.job(placement.task) or return
        window = frame.windows.index { |each| each.id == placement.window } or return
        start, steps = [placement.start, placement.minutes].map { |minutes| minutes / @problem.grid }
        room = frame.windows[window].rooms.index { |id, capacity| id == placement.room && capacity >= job.size }
        return unless room && fits?(table, job, window, start, steps, room)

        table.put(job, window, start, steps, room)
        true
      end

      def fits?(table, job, window, start, steps, room)
        return false if steps > table.left[job.at] || start + steps > table.frame.steps[window]

        wanted = ((1 << steps) - 1) << start
        bounds = Places.new(table).bounds(job, table.frame.steps.size - 1) or return false
        at = (window * Table::TIME) + start
        table.free(job, window).allbits?(wanted) && table.room_free?(window, room, wanted) && table.bearable?(job, window, start, steps) && at >= bounds.first && at + steps <= bounds.last
      end
    end
  end
end
