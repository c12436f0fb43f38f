# frozen_string_literal: true

module Core
  module Planning
    # A plan after something changed (an absence, an overrun, a cancelled rehearsal), beside the one people were told.
    # Two ways are tried: repair keeps all of the old plan that still stands and fits the rest in, before what waits for
    # it; where that does not go, what waits for it gives way. Anew solves everything, with a price on what changes.
    # Each answers a Plan with its Disturbance.
    class Replanning
      def initialize(problem, **how)
        @problem = problem
        @how = how
      end

      # What still stands of the earlier plan stays; the rest is fitted in around it.
      def repair = @repair ||= repaired

      def anew = @anew ||= Solver.new(@problem, **@how).plan

      # By slip against what was promised first, then by what changes for people, then by waiting.
      def best = [repair, anew].min_by.with_index { |plan, i| [*rank(plan), i] }

      # How many rehearsals later than promised a plan is ready; 0 when it is not later.
      def slip(plan) = [index(plan.ready_window) - index(@problem.promised), 0].max

      private

      def index(window) = @problem.windows.index { |each| each.id == window } || @problem.windows.size

      # Nothing where there is nothing left of what people were told.
      def weight(plan)
        return 0 unless plan.changes

        (plan.changes.new_calls * Disturbance::NEW) + (plan.changes.cancelled * Disturbance::CANCELLED) +
          (plan.changes.shifted * Disturbance::SHIFTED)
      end

      def rank(plan) = [plan.unplaced_minutes, slip(plan), weight(plan), plan.cost]

      # All that stands, where the rest goes in before what waits for it; else with what waits set free in as few of the
      # next rehearsals as it takes; else only what waits for nothing that is to come.
      def repaired
        kept = standing
        found = loosened(kept).lazy.select { |some| missing(some).empty? }.map { |some| fitted(some) }.find(&:complete?)
        found || fitted(whole(kept))
      end

      # [[Placement], …]: ever fewer of the next rehearsals keep what waits for something that found no place.
      def loosened(kept)
        waiting = waiting_for(missing(kept))
        order = @problem.windows.each_with_index.to_h { |window, i| [window.id, i] }
        nexts =
          kept
            .select { |placement| waiting.include?(placement.task) }
            .map { |placement| order[placement.window] }
            .uniq
            .sort
        [kept] +
          steps(nexts.size).map do |count|
            kept.reject { |each| waiting.include?(each.task) && order[each.window] <= nexts[count - 1] }
          end
      end

      # 1, 2, 3, 4, 6, 8, 12, …, and the last.
      def steps(most)
        [1, 2, 3, *(2..10).flat_map { |i| [2**i, 3 * (2**(i - 1))] }].select { |count| count < most } |
          [most].reject(&:zero?)
      end

      # Ids of tasks for which serial placement alone finds no place beside what is kept.
      def missing(kept)
        table = Solver.new(@problem.with(pinned: [*@problem.pinned, *kept]), **@how).first
        table.frame.jobs.reject { |job| table.placed?(job) }.map(&:id)
      end

      # Of some placements those that wait for nothing but others of them.
      def whole(placements)
        minutes = placements.group_by(&:task).transform_values { |same| same.sum(&:minutes) }
        missing = @problem.tasks.reject { |task| minutes.fetch(task.id, 0) >= @problem.left(task) }.map(&:id)
        waiting = waiting_for(missing)
        placements.reject { |placement| waiting.include?(placement.task) }
      end

      def fitted(kept) = Solver.new(@problem.with(pinned: [*@problem.pinned, *kept]), **@how).plan

      # Ids of tasks that wait for some others, directly or not.
      def waiting_for(ids)
        @problem.in_order
          .each_with_object([]) do |task, waiting|
            waiting << task.id if task.before.intersect?(ids) || task.before.intersect?(waiting)
          end
      end

      def standing = Standing.new(@problem.with(recap: 0, to_music: 0)).placements
    end
  end
end
