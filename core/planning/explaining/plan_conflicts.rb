# frozen_string_literal: true

module Core
  module Planning
    # What stands against a plan made earlier, as people, rooms and rehearsals are now. The plan is not changed.
    class PlanConflicts
      # kind: :away (people cannot come), :late (minors are at home by then), :elsewhere (people rehearse something
      # else), :taken (something else is in the room), :no_room (the room is not there), :small (it holds fewer than are
      # called), :steps (it is reached by steps, and somebody called uses wheels) or :outside (before the warm-up is
      # over, or after the end). task, window, room: ids; who: ids of people.
      Upset = Struct.new(:kind, :task, :window, :room, :who, keyword_init: true)

      # placements: [Placement] of tasks of the problem, in its windows; others are not looked at.
      def initialize(problem, placements)
        @tasks = problem.tasks.to_h { |task| [task.id, task] }
        @windows = problem.windows.to_h { |window| [window.id, window] }
        @stepped = problem.stepped
        @wheels = problem.wheels
        @away = problem.unavailable.group_by { |entry| entry.values_at(:who, :date) }
        @placements = placements.select { |each| @tasks.key?(each.task) && @windows.key?(each.window) }
      end

      # [Upset], in the order of the placements.
      def all = @placements.flat_map { |placement| of(placement, @windows[placement.window]) }

      private

      def of(placement, window)
        [*people(placement, window), room(placement, window), outside(placement, window)].compact
      end

      def people(placement, window)
        hit =
          @tasks[placement.task].people.filter_map do |who|
            (entry = in_the_way(who, placement, window)) && [kind(entry), who]
          end
        hit.group_by(&:first).map { |kind, pairs| conflict(kind, placement, pairs.map(&:last)) }
      end

      # Who dances it and is away for a third of it or less is there: they come late, or go early.
      def in_the_way(who, placement, window)
        found = entries(who, placement, window)
        return found.first unless @tasks[placement.task].dancers.include?(who)

        found.find { |entry| kind(entry) != :away || missed?(entry, placement, window) }
      end

      def missed?(entry, placement, window)
        from = window.start + placement.start
        gone = [entry[:to] || 1440, from + placement.minutes].min - [entry[:from] || 0, from].max
        gone * Attendance::MISSED > placement.minutes
      end

      def kind(entry)
        return :elsewhere if entry[:work]

        entry[:late] ? :late : :away
      end

      # What keeps somebody, or a room, from a placement; half-open times of the day, nil for the start or the end of
      # it. Whoever works here need not warm up elsewhere, and a warm-up finds another corner.
      def entries(who, placement, window)
        from = window.start + placement.start
        @away.fetch([who, window.date], [])
          .select do |entry|
            !entry[:frame] && (entry[:from] || 0) < from + placement.minutes && from < (entry[:to] || 1440)
          end
      end

      def room(placement, window)
        size = window.rooms.to_h[placement.room] or return conflict(:no_room, placement)
        return conflict(:taken, placement) if entries(placement.room, placement, window).any?

        dancers = @tasks[placement.task].dancers
        return conflict(:small, placement, dancers) if dancers.size > size

        rolling = @stepped.include?(placement.room) ? dancers & @wheels : []
        conflict(:steps, placement, rolling) if rolling.any?
      end

      def outside(placement, window)
        placement.start.negative? || placement.end > window.minutes ? conflict(:outside, placement) : nil
      end

      def conflict(kind, placement, who = [])
        Upset.new(kind:, task: placement.task, window: placement.window, room: placement.room, who:)
      end
    end
  end
end
