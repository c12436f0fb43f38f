# frozen_string_literal: true

module App
  module Planning
    module Offers
      # The plan as it would be made with one thing changed, planned again in the way that changes least for people.
      # What is shown of a change, and what is tried before a repair is offered, is this same plan.
      class ChangedPlan
        attr_reader :draft

        # change: Changes::Change.
        def initialize(piece, now, change)
          @draft = Reading::PlanDraft.new(piece, now, what_if: change)
        end

        def plan
          @plan ||=
            told.empty? ? Core::Planning::Solver.new(problem, effort: "quick").plan : replanning.best
        end

        # How it is planned again: "repair" or "anew", nil where there is nothing to keep.
        def way
          return if told.empty?

          plan.equal?(replanning.repair) ? "repair" : "anew"
        end

        private

        def told = @told ||= draft.season.placements(draft.plan)
        def problem(**more) = draft.problem(**more, pinned: draft.season.pinned)

        def replanning
          @replanning ||= Core::Planning::Replanning.new(problem(plan: told), effort: "quick")
        end
      end
    end
  end
end
