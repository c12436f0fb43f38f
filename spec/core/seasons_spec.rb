# frozen_string_literal: true

require "support/plan_validator"
require "support/worked_season"

# Small seasons worked out by hand (spec/corpus/seasons.json): what the planner makes of them, from file to file.
RSpec.describe Core::Planning do
  def solve(asked)
    if asked.plan.any?
      Core::Planning::Replanning.new(asked, effort: "quick").best
    else
      Core::Planning::Solver.new(asked, effort: "quick").plan
    end
  end

  WorkedSeason.all.each do |season|
    it season.name do
      asked, notes = Formats::PlanProblem.parse(season.problem.to_json)
      answer = JSON.parse(Formats::PlanResult.render(solve(asked), seconds: 0, say: SAY))
      expect([notes, PlanValidator.new(JSON.parse(Formats::PlanProblem.render(asked)), answer).faults]).to eq [[], []]
      found = season.said(answer)
      expect(season.ways).to include(found.find.with_index { |said, i| said == season.ways[i] } || found.first)
    end
  end
end
