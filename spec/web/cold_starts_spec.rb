# frozen_string_literal: true

require "web_helper"

# Dancers who come from another piece's work are warm; where that moves, the plan says who would begin cold.
RSpec.describe App::Reading::ColdStarts, :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:now) { studio.local(NOW) }
  let!(:dancers) { make_cast(piece) }
  let(:evening) { told.slots.work.first.rehearsal }

  before { make_season(studio) }

  def told
    @told ||= App::Planning::Actions::Make.new(piece, nil, now).run.tap do |plan|
      App::Planning::Actions::Publish.new(plan, NOW).run
    end
  end

  def conflicts = App::Reading::PlanConflicts.of(told.reload, piece.reload, now)
  def warm_ups = told.slots.where(rehearsal: evening, kind: "warm_up")

  it "names them and the day, as long as nobody warms them up there or elsewhere" do
    expect(conflicts).to eq []
    told.studio.slot_people.where(slot_id: warm_ups.ids, person_id: dancers.first(2).map(&:id)).delete_all
    day = App::Shared::Dates.day(evening.date)
    said = "Ada Test and Bram Test would begin cold on #{day}: what they came from is not there any more."
    expect(conflicts).to include said
    dancers.first(2).each do |each|
      Records::SlotPerson.create!(studio:, slot: warm_ups.first, person: each, role: "dancer")
    end
    expect(conflicts).to eq []
  end

  it "says nothing of who comes from another piece's work, nor where a studio warms up for nothing" do
    other = make_piece(studio, director, title: "Other Piece", lines: "Rain, 2 eights, Odalys")
    plan = other.plans.create!(studio:, number: 1, school: "add_on", published_at: NOW)
    first = told.slots.work.where(rehearsal: evening).map(&:start_minute).min
    slot = plan.slots.create!(studio:, rehearsal: evening, kind: "learn", task_key: "learn-s9", title: "Rain",
                              start_minute: first - 15, minutes: 15, room: studio.rooms.create!(name: "L", capacity: 9))
    Records::SlotPerson.create!(studio:, slot:, person: dancers.first, role: "dancer")
    told.studio.slot_people.where(slot_id: warm_ups.ids).delete_all
    season = Records::Mapping::Seasons.new(piece, now:)
    expect(described_class.new(told, season).days.values.flatten).to match_array dancers.drop(1).map(&:id)
  end
end
