# frozen_string_literal: true

module App
  module Planning
    module Offers
      # What one change would do, beside the plan as it is: planned again in the way that changes least for people.
      class WhatIf < Solving
        WAY = "then"

        private

        def steps = [-> { now_side }, -> { PlanForOffer.new(changed, changed_plan) }]

        def answer((now_side, offered))
          then_side = side(Core::Planning::PlanFigures.new(offered.plan), sentences(offered.plan, changed.names))
          { facts: { now: now_side, then: then_side, changes: offered.plan.changes.to_h, text: change.text, way: },
            plans: { WAY => offered.stored } }
        end

        def change = @change ||= Reading::WhatIfChange.new(@piece, @offer.asked)
        def changed = @changed ||= Reading::PlanDraft.new(@piece, @now, what_if: change)

        def now_side
          return side(Core::Planning::PlanFigures.new(standing, unplaced: standing_unplaced)) if @piece.latest_plan

          plan = Solver.new(draft.problem, effort: "quick").plan
          side(Core::Planning::PlanFigures.new(plan), sentences(plan, draft.names))
        end

        # The plan there is, as it lies ahead.
        def standing
          ahead = Reading::PlannedSlots.new(@piece.latest_plan, draft.season)
          Core::Planning::Plan.new(ahead.problem, ahead.placements, bookends: ahead.ends)
        end

        def standing_unplaced = @piece.latest_plan.result.fetch("unplaced", []).sum { |task| task["minutes"] }

        def told = @told ||= changed.season.placements(changed.plan)

        # How it is planned again: "repair" or "anew", nil where there is nothing to keep.
        def way
          return if told.empty?

          changed_plan.equal?(replanning.repair) ? "repair" : "anew"
        end

        def replanning
          @replanning ||= Core::Planning::Replanning.new(problem(plan: told), effort: "quick")
        end

        def problem(**more) = changed.problem(**more, pinned: changed.season.pinned)

        def changed_plan
          @changed_plan ||= told.empty? ? Solver.new(problem, effort: "quick").plan : replanning.best
        end

        def side(figures, reasons = [])
          { ready: figures.ready, unplaced: figures.unplaced, waiting: figures.waiting, most: figures.fullest_week,
            reasons: }
        end

        def sentences(plan, names)
          writer = Core::Planning::ReasonWriter.new(names, say: I18n.method(:t))
          plan.reasons.map { |reason| writer.text(reason) }
        end
      end
    end
  end
end
