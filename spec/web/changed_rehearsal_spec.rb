# frozen_string_literal: true

require "web_helper"

# A rehearsal gets another time, other rooms, another kind.
RSpec.describe "changing a rehearsal", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:rehearsal) { told.slots.work.first.rehearsal }

  before do
    make_cast(piece)
    make_season(studio, rooms: [["Hall", 40], ["Loft", 20]])
    sign_in director
  end

  def told
    @told ||= begin
      send_form "/pieces/#{piece.id}/plan", {}
      send_form "/pieces/#{piece.id}/plans/#{piece.reload.latest_plan.id}/publish", {}
      piece.published_plan
    end
  end

  def change(**given)
    now = { date: rehearsal.date.iso8601, start: "18:00", end: "20:00", kind: "rehearsal",
            rooms: rehearsal.rooms.map { |room| room.id.to_s }, lock_version: rehearsal.lock_version }
    send_form "/rehearsals/#{rehearsal.id}/change", now.merge(given).transform_keys(&:to_s)
  end

  def shown(path) = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def slots = told.slots.order(:id).map { |slot| [slot.id, slot.rehearsal_id, slot.start_minute] }

  it "says what was told and cannot be held any more, changes nothing of it, and plans around it" do
    before = slots
    change(start: "19:30", end: "20:30")
    told_of = /19:30 – 20:30 now\. \d+ slots that were told for Winter Piece cannot be held/
    expect(shown("/rehearsals")).to match(told_of)
    expect(slots).to eq before
    expect(shown("/pieces/#{piece.id}/plan")).to include "Plan"
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "anew"
    there = piece.reload.latest_plan.slots.where(rehearsal:)
    expect(there.reject { |slot| slot.start_minute >= 1170 && slot.end_minute <= 1230 }).to eq []
  end

  it "keeps what still stands of an evening further ahead, and nothing before it begins" do
    studio.update!(settings: { "fixed_days" => 0 })
    change(start: "18:20")
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "repair"
    slots = piece.reload.latest_plan.slots.where(rehearsal:)
    expect(slots.map(&:start_minute).min).to be >= 1100
    expect(piece.latest_plan.result.fetch("unplaced", [])).to eq []
  end

  it "takes a technical rehearsal's evening from lessons, and another day with what people said of it" do
    ada = studio.people.find_by!(name: "Ada Test")
    ada.habits.create!(studio:, weekday: 3)
    change(kind: "technical", date: "Wed 3 Feb")
    expect(rehearsal.reload.slice(:date, :kind)).to eq("date" => Date.new(2027, 2, 3), "kind" => "technical")
    expect(ada.absences.pluck(:from_date)).to eq [Date.new(2027, 2, 3)]
    take_offer piece, "/pieces/#{piece.id}/plan/again", { "soon" => "1" }, way: "anew"
    kinds = piece.reload.latest_plan.slots.work.where(rehearsal:).map(&:kind).uniq
    expect(kinds - %w[place run]).to eq []
  end

  it "is out of every plan with a room that is archived, and says what was told for it" do
    room = told.slots.work.first.room
    send_form "/rooms/#{room.id}/archive", { "to" => "yes" }
    expect(shown("/pieces/#{piece.id}/plan")).to include "#{room.name} is not there on"
    expect(shown("/rehearsals").split("Rooms").first).not_to include room.name
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "anew"
    expect(piece.reload.latest_plan.slots.where(room:)).to be_empty
    expect(piece.latest_plan.slots.work).not_to be_empty
  end

  it "refuses what cannot be, with what was typed still there, and a form that was opened before another's change" do
    other = studio.rehearsals.standing.where.not(id: rehearsal.id).first
    { { date: "30 Feb" } => "Dates look like", { start: "20:00", end: "19:00" } => "the end after the start",
      { rooms: [] } => "Choose at least one room", { kind: "party" } => "what kind of day",
      { date: other.date.iso8601 } => "Another rehearsal stands" }.each do |given, said|
      change(**given)
      expect([last_response.status, shown_now]).to match [422, a_string_including(said)]
    end
    change(start: "18:30", lock_version: rehearsal.lock_version - 1)
    expect([last_response.status, rehearsal.reload.start_minute]).to eq [409, 1080]
  end

  def shown_now = CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
end
