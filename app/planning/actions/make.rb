# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Tasks from the piece and its progress, a problem from the season, a plan from the solver, rows from the plan.
      # What is past in the plan people were told stays; pinned slots stay where they are. way: "repair" keeps what
      # still stands, "anew" solves everything, with a price on what changes (the way where none is said); nothing is
      # kept where nobody was told.
      class Make
        Planning = Core::Planning
        private_constant :Planning

        def initialize(piece, account, now, way: nil, effort: "quick", draft: Reading::PlanDraft.new(piece, now))
          @piece = piece
          @account = account
          @now = now
          @way = way || ("anew" if piece.published_plan)
          @effort = effort
          @draft = draft
        end

        def run
          made = PlanWithReviews.new(@draft, repaired(solve))
          @piece.alone(:planning) { saving(made).run(kept: @draft.kept_slots, fixed: @draft.fixed) }
        end

        # What writes a plan that was made.
        def saving(made)
          Save.new(@piece, @account, made.plan, tasks: made.tasks, season: @draft.season,
                                                result: PlanSummary.new(@draft, made).to_h,
                                                pinned: @draft.season.pinned_keys)
        end

        # The plan of the core, not yet saved.
        def solve(**how)
          return Planning::Solver.new(problem, effort: @effort, **how).plan unless @way

          again = Planning::Replanning.new(problem(plan: told), effort: @effort, **how)
          @way == "repair" ? again.repair : again.anew
        end

        # The plan with what would make it fit, where it does not.
        def repaired(plan)
          return plan if plan.complete?

          world = Offers::RepairWorld.new(@piece, @now)
          plan.with_repairs(Planning::Repairs.new(problem, plan.unplaced, world:).all)
        end

        def problem(**more) = @draft.problem(**more, pinned: @draft.season.pinned)
        def told = @told ||= @draft.season.placements(@draft.plan)
      end
    end
  end
end
