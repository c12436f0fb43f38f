# frozen_string_literal: true

module App
  module Planning
    module Pages
      # What one change would do, beside the plan as it is: planned again in the way that changes least for people.
      class WhatIf < Shared::PiecePage
        Side = Struct.new(:ready, :unplaced, :waiting, :most, :reasons, keyword_init: true)

        def initialize(asked:, **rest)
          super(**rest)
          @asked = asked
        end

        attr_reader :asked

        def screen = :plan
        def title = "#{I18n.t('what_if.title')} · #{piece.title}"
        def variation = @variation ||= Reading::WhatIfChange.new(piece, asked)
        def shown? = variation.valid?

        def now_side
          @now_side ||=
            if piece.latest_plan
              side(base, standing, unplaced: standing_unplaced)
            else
              side(base, Core::Planning::Solver.new(base.problem, effort: "quick").plan)
            end
        end

        def then_side = @then_side ||= side(changed, changed_plan)
        def rehearsals = @rehearsals ||= Records::Mapping::Seasons.new(piece, now:).open
        def teachers = piece.studio.people.choreographers.order(:name)

        # People who are away on any of the rehearsals ahead.
        def away
          dates = rehearsals.map(&:date)
          ids =
            piece.studio.absences.where(to_date: today..)
              .select { |absence| dates.any? { |date| date.between?(absence.from_date, absence.to_date) } }
              .map(&:person_id)
          ids |= piece.studio.visits.where(date: today..).distinct.pluck(:person_id)
          people.values_at(*ids).compact.sort_by(&:name)
        end

        # What changes for people against what they were told.
        def changes = changed_plan.changes.to_h

        # How it is planned again when the change is done: "repair" or "anew", nil where there is nothing to keep.
        def way = told.empty? ? nil : { true => "repair", false => "anew" }[changed_plan.equal?(replan.repair)]

        def fields
          asked.slice("change", "school", "rehearsal", "date", "start", "end", "person", "passes", "section", "teacher")
        end

        private

        def base = @base ||= Reading::PlanDraft.new(piece, now)
        def changed = @changed ||= Reading::PlanDraft.new(piece, now, variation:)

        # The plan there is, as it lies ahead.
        def standing
          ahead = Reading::PlannedSlots.new(piece.latest_plan, base.season)
          Core::Planning::Plan.new(ahead.problem, ahead.placements, bookends: ahead.ends)
        end

        def sentences(plan, names)
          writer = Core::Planning::ReasonWriter.new(names, say: I18n.method(:t))
          plan.reasons.map { |reason| writer.text(reason) }
        end

        def standing_unplaced = piece.latest_plan.result.fetch("unplaced", []).sum { |task| task["minutes"] }

        def told = @told ||= changed.season.placements(changed.plan)

        def replan
          @replan ||=
            Core::Planning::Replanning.new(changed.problem(plan: told, pinned: changed.season.pinned), effort: "quick")
        end

        def changed_plan
          @changed_plan ||=
            if told.empty?
              Core::Planning::Solver.new(changed.problem(pinned: changed.season.pinned), effort: "quick").plan
            else
              replan.best
            end
        end

        def side(draft, plan, unplaced: plan.unplaced_minutes)
          days = plan.problem.windows.to_h { |window| [window.id, window] }
          window = unplaced.zero? && days[plan.ready_window]
          weeks =
            plan.placements
              .group_by { |placement| days.fetch(placement.window).day / 7 }
              .transform_values { |same| same.sum(&:minutes) }
          Side.new(
            ready: window ? Date.iso8601(window.date) : nil,
            unplaced:,
            waiting: plan.calls.sum(&:waiting),
            most: weeks.values.max || 0,
            reasons: sentences(plan, draft.names)
          )
        end
      end
    end
  end
end
