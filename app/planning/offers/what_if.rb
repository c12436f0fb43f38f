# frozen_string_literal: true

module App
  module Planning
    module Offers
      # What one change would do, beside the plan as it is: planned again in the way that changes least for people.
      class WhatIf < Solving
        WAY = "then"

        private

        def steps = [-> { now_side }, -> { PlanForOffer.new(changed.draft, changed.plan) }]

        def answer(worked)
          now_side, offered = worked
          figures = offered.figures
          facts = {
            now: now_side,
            then: side(figures, sentences(offered.plan, changed.draft.names)),
            changes: offered.plan.changes.to_h,
            text: change.text,
            way: changed.way
          }
          { facts:, plans: { WAY => offered.stored } }
        end

        def change = @change ||= Changes.of(@piece, @offer.asked)
        def changed = @changed ||= ChangedPlan.new(@piece, @now, change)

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

        def side(figures, reasons = [])
          { ready: figures.ready, unplaced: figures.unplaced, waiting: figures.waiting, most: figures.fullest_week,
            reasons: }
        end

        def sentences(plan, names)
          writer = Shared::Wording.reasons(names)
          plan.reasons.map { |reason| writer.text(reason) }
        end
      end
    end
  end
end
