# frozen_string_literal: true

module Core
  module Planning
    # A plan in the figures by which two are compared: when it is ready, what has no place, how long people wait, how
    # full its fullest week is.
    class PlanFigures
      # plan: Plan; unplaced: minutes without a place, where these are not the plan's own; last: ISO date of the last
      # run that stands outside the plan, or nil.
      def initialize(plan, unplaced: plan.unplaced_minutes, last: nil)
        @last = last
        @plan = plan
        @unplaced = unplaced
        @days = plan.problem.windows.to_h { |window| [window.id, window] }
      end

      attr_reader :unplaced

      # ISO date of the rehearsal with the last run; nil while something has no place.
      def ready = unplaced.zero? ? @days[@plan.ready_window]&.date || @last : nil

      # ISO date of the rehearsal with the first run, or nil.
      def first_run
        runs = @plan.problem.tasks.select(&:run?).to_set(&:id)
        found = @plan.placements.find { |placement| runs.include?(placement.task) }
        found && @days.fetch(found.window).date
      end

      # Minutes, all people together.
      def waiting = @plan.calls.sum(&:waiting)

      # Minutes of work in the week that has most.
      def fullest_week
        weeks = @plan.placements.group_by { |placement| @days.fetch(placement.window).day / 7 }
        weeks.values.map { |same| same.sum(&:minutes) }.max || 0
      end
    end
  end
end
