# frozen_string_literal: true

require "web_helper"
require_relative "../support/own_world"

# A repair that is offered keeps its word: done in the application, it makes everything fit.
RSpec.describe "repairs that are offered", :web do
  include OwnWorld

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director, lines: lines, show_date: "2027-03-20") }
  let(:lines) { "Gate, 6 eights, Odalys\nLantern, 4 eights, Mirela\nGate again\nLantern again, other side" }
  let(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dora Emil]) }
  let(:plan_path) { "/pieces/#{piece.id}/plan" }

  def teacher(name) = studio.people.find_by!(name:)
  def away(person, from, to) = person.absences.create!(studio:, from_date: from, to_date: to)
  def latest = piece.reload.latest_plan
  def wishes(**values) = piece.update!(settings: piece.settings.merge(values.transform_keys(&:to_s)))
  def repairs = latest.result["repairs"]
  def words = CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))

  before { dancers }

  def planned
    sign_in director
    yield
    send_form plan_path, {}
    latest
  end

  # Does each repair from its button on the Plan page, takes what is shown, and answers what then has no place.
  def left_after_each
    repairs.reject { |each| each["asked"].empty? }.to_h do |repair|
      left = nil
      in_a_world_of_its_own do
        take_offer(piece, "#{plan_path}/what-if", repair["asked"])
        left = latest.result["unplaced"]
      end
      sign_in director
      [repair["text"], left]
    end
  end

  # Seasons that are too short in different ways: [last rehearsal, its end, full runs, absences].
  def short_seasons
    ada, bram = dancers.first(2)
    {
      "too few rehearsals for the runs" => ["2027-02-16", "19:00", 3, []],
      "too little time to teach" => ["2027-03-02", "18:40", 1, []],
      "a dancer away for half of it" => ["2027-02-16", "19:00", 1, [[ada, "2027-02-01", "2027-02-10"]]],
      "two dancers away" => [
        "2027-02-23", "19:00", 1, [[ada, "2027-02-01", "2027-02-10"], [bram, "2027-02-15", "2027-02-17"]]
      ],
      "a guest for whom the runs would wait" => [
        "2027-02-23", "19:00", 3, [[teacher("Mirela"), "2027-02-01", "2027-02-20"]]
      ],
      "a teacher who comes late in it" => ["2027-02-23", "19:30", 2, [[teacher("Mirela"), "2027-02-01", "2027-02-20"]]]
    }
  end

  def short_season(last, to, runs, absences)
    make_season(studio, last:, to:)
    absences.each { |absence| away(*absence) }
    wishes(full_runs: runs)
  end

  it "make everything fit when they are done, whatever kind they are" do
    kinds = short_seasons.flat_map do |name, season|
      found = []
      in_a_world_of_its_own do
        planned { short_season(*season) }
        expect(latest.result["unplaced"]).not_to be_empty, name
        left = left_after_each
        expect(left.values.uniq - [[]]).to eq([]), "#{name}: #{left}"
        found = repairs.map { |each| each["asked"]["change"] }
      end
      found
    end
    expect(kinds.uniq).to include("helper", "runs_without", "school", "extra", "freed", "passes", "runs")
  end

  it "offer no rehearsal more when whoever teaches is away all season, and say who is away" do
    planned do
      make_season(studio, last: "2027-02-23")
      away(teacher("Mirela"), "2027-01-15", "2027-03-19")
      wishes(full_runs: 2)
    end
    expect(repairs.map { |each| each["asked"]["change"] }).to eq %w[helper comes freed]
    reason = latest.result["reasons"].first
    expect(reason).to match(/\AMirela is away from Fri 15 Jan to Fri 19 Mar; 35 minutes with them .*Learn Lantern/)
    expect(left_after_each.values.uniq).to eq [[]]
    get plan_path
    expect(words).to include(reason, "Odalys can teach Lantern too", "Mirela comes to all rehearsals", "Look at it")
  end

  it "are done by hand as well: a rehearsal added, and planned again" do
    planned do
      make_season(studio, last: "2027-02-23", to: "19:30")
      teacher("Mirela").visits.create!(studio:, date: "2027-02-23")
      teacher("Mirela").visits.create!(studio:, date: "2027-02-24")
      wishes(full_runs: 2)
    end
    extra = repairs.find { |each| each["asked"]["change"] == "extra" }
    date, from, to = extra["asked"].values_at("date", "start", "end")
    expect(extra["text"]).to include "#{from} – #{to}"
    send_form "/rehearsals", { "single" => date, "start" => from, "end" => to, "rooms" => studio.rooms.ids.map(&:to_s) }
    send_form plan_path, {}
    expect(latest.result["unplaced"]).to eq []
  end
end
