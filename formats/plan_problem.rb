# frozen_string_literal: true

module Formats
  # plan-problem-1: what a rehearsal plan is made from (docs/formats/plan-problem-1.schema.json).
  module PlanProblem
    NAME = "plan-problem-1"

    # Text => [Core::Planning::Problem, notes]. Raises FaultyFile.
    def self.parse(text) = Reader.new(JsonText.parse(text, format: NAME)).problem

    # Core::Planning::Problem => JSON text.
    def self.render(problem) = JSON.generate(Writer.new(problem).to_h)
  end
end

require_relative "plan_problem/reader"
require_relative "plan_problem/writer"
