# frozen_string_literal: true

module App
  module Planning
    module Offers
      # A plan worked out to be offered: what is shown of it, and what writes it when it is taken.
      class PlanForOffer
        # draft: Reading::PlanDraft; plan: Core::Planning::Plan; made: the same with its reviews, where that was done.
        def initialize(draft, plan, made: nil)
          @made = made
          @draft = draft
          @bare = plan
        end

        def figures = @figures ||= Core::Planning::PlanFigures.new(@bare, last: @draft.fixed.last_run)
        def plan = @bare

        # What is kept to be written later.
        def stored
          made = @made || Actions::PlanWithReviews.new(@draft, @bare)
          {
            **Records::Mapping::StoredPlans.dump(made.plan, made.tasks),
            "result" => Actions::PlanSummary.new(@draft, made).to_h,
            "pinned" => @draft.season.pinned_keys,
            "fixed" => @draft.season.fixed.map(&:id)
          }
        end
      end
    end
  end
end
