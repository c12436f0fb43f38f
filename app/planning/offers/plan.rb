# frozen_string_literal: true

module App
  module Planning
    module Offers
      # A plan by the piece's own school, or another one that was chosen.
      class Plan < Solving
        WAY = "plan"

        private

        def steps = [-> { made(nil, by_school) }]

        def by_school
          asked = { "change" => "school", "school" => @offer.asked["school"] }
          change = Changes.of(@piece, asked)
          change.valid? ? Reading::PlanDraft.new(@piece, @now, what_if: change) : draft
        end

        def answer(worked) = { facts: {}, plans: { WAY => worked.first.stored } }
      end
    end
  end
end
