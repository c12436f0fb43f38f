# frozen_string_literal: true

require "spec_helper"
require_relative "../support/studio_seasons"
require_relative "../support/studio_plan_validator"
require_relative "../support/lived_season"

# Seasons lived through (spec/corpus/lived_seasons.json): what was told is what happens, and it ends whole.
RSpec.describe "a season of two pieces, evening after evening" do
  stories = JSON.parse(File.read("spec/corpus/lived_seasons.json", encoding: "UTF-8"))

  stories.each_with_index do |story, number|
    it story["name"], long: number > 1 do
      season = LivedSeason.new(story)
      season.live do |event, before, after|
        ids = season.ids_from(after.problem.now)
        told, now = [before, after].map { |plan| LivedSeason.ahead(plan, ids) }
        next if event

        expect(now).to eq told
        expect(after.unplaced_minutes).to eq before.unplaced_minutes
      end
      expect(StudioPlanValidator.new(season.data, season.answer).faults).to eq []
      expect(season.answer.values_at("unplaced_minutes", "first_aim_missed")).to eq [0, 0]
    end
  end
end
