# frozen_string_literal: true

module App
  module Pages
    # What one change would do to the plan, beside the plan as it would be without it.
    class WhatIf < PiecePage
      Side = Struct.new(:ready, :unplaced, :waiting, :most, :reasons, keyword_init: true)

      def initialize(asked:, **rest)
        super(**rest)
        @asked = asked
      end

      attr_reader :asked

      def screen = :plan
      def title = "#{I18n.t('what_if.title')} · #{piece.title}"
      def variation = @variation ||= Actions::Variation.new(piece, asked)
      def shown? = variation.valid?
      def now_side = @now_side ||= side(base, base_plan)
      def then_side = @then_side ||= side(changed, changed_plan)
      def rehearsals = @rehearsals ||= Records::Mapping::Seasons.new(piece, now:).open
      def teachers = piece.studio.people.choreographers.order(:name)

      # People who are away on any of the rehearsals ahead.
      def away
        dates = rehearsals.map(&:date)
        ids = piece.studio.absences.where(to_date: today..).select { |absence| dates.any? { |date| date.between?(absence.from_date, absence.to_date) } }.map(&:person_id)
        ids |= piece.studio.visits.where(date: today..).distinct.pluck(:person_id)
        people.values_at(*ids).compact.sort_by(&:name)
      end

      # What changes for people against what they were told.
      def changes = changed_plan.changes.to_h
      def fields = asked.slice("change", "school", "rehearsal", "date", "start", "end", "person", "passes", "section", "teacher")

      private

      def base = @base ||= Actions::PlanDraft.new(piece, now)
      def changed = @changed ||= Actions::PlanDraft.new(piece, now, variation:)
      def base_plan = @base_plan ||= solve(base)
      def changed_plan = @changed_plan ||= solve(changed)

      def solve(draft)
        told = draft.season.placements(draft.plan)
        Core::Planning::Solver.new(draft.problem(plan: told, pinned: draft.season.pinned), effort: "quick").plan
      end

      def side(draft, plan)
        window = plan.complete? && draft.problem.windows.find { |each| each.id == plan.ready_window }
        weeks = plan.placements.group_by { |placement| draft.problem.windows.find { |each| each.id == placement.window }.day / 7 }.transform_values { |same| same.sum(&:minutes) }
        Side.new(ready: window ? Date.iso8601(window.date) : nil, unplaced: plan.unplaced_minutes, waiting: plan.calls.sum(&:waiting), most: weeks.values.max || 0,
                 reasons: plan.reasons.map { |reason| Core::Planning::ReasonWriter.new(draft.names).text(reason) })
      end
    end
  end
end
