# frozen_string_literal: true

module Formats
  # plan-problem-1: what a rehearsal plan is made from (docs/formats/plan-problem-1.schema.json); plan-problem-2: the
  # same for everything of a studio (docs/formats/plan-problem-2.schema.json).
  module PlanProblem
    NAME = "plan-problem-1"
    STUDIO = "plan-problem-2"

    # Text => [Core::Planning::Problem, notes]. Raises FaultyFile.
    def self.parse(text)
      data = JsonText.parse(text, format: [NAME, STUDIO])
      (data["format"] == NAME ? Reader : StudioReader).new(data).problem
    end

    # Whether a text that can be read is one of a whole studio.
    def self.studio?(text) = JSON.parse(JsonText.letters(text))["format"] == STUDIO

    # Core::Planning::Problem => JSON text.
    def self.render(problem) = JSON.generate(Writer.new(problem).to_h)
  end
end

require_relative "plan_problem/reader"
require_relative "plan_problem/studio_reader"
require_relative "plan_problem/writer"
