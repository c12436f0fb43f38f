# frozen_string_literal: true

require "web_helper"

# What is kept between requests must go when anything it shows changes: here by everything that can change a season.
RSpec.describe App::Reading::SeasonVersion, :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }
  let(:plan) { piece.reload.latest_plan }

  before do
    make_season(studio)
    sign_in director
    send_form "/pieces/#{piece.id}/plan", {}
  end

  def stamp(at = NOW) = described_class.of(plan, studio.local(at))
  def slot = plan.slots.work.first
  def rehearsal = studio.rehearsals.standing.first

  it "lets the plan's page be worked out once, with a plan and without one" do
    other = make_piece(studio, director, title: "Other")
    made = 0
    allow(Records::Mapping::Seasons).to receive(:new).and_wrap_original do |new, *given, **named|
      made += 1
      new.call(*given, **named)
    end
    [piece, other].each do |each|
      get "/pieces/#{each.id}/plan"
      before = made
      2.times { get "/pieces/#{each.id}/plan" }
      expect([last_response.status, made - before]).to eq [200, 0]
    end
  end

  changes = {
    "a cancelled rehearsal" => -> { rehearsal.update!(cancelled_at: NOW + 1) },
    "a further rehearsal" => lambda do
      make_season(studio, rooms: [["Loft", 9]], first: "2027-03-18", last: "2027-03-18", days: %w[4])
    end,
    "an absence" => -> { dancers.first.absences.create!(studio:, from_date: NOW.to_date, to_date: NOW.to_date) },
    "a visiting teacher's day" => lambda do
      studio.visits.create!(person: studio.people.find_by!(name: "Odalys"), date: NOW.to_date)
    end,
    "a smaller room" => -> { studio.rooms.first.update!(capacity: 3) },
    "a register" => -> { rehearsal.attendances.create!(studio:, person: dancers.first, present: false, by_name: "D") },
    "how far it got" => lambda do
      piece.sections.first.teachings.create!(
        studio_id: studio.id,
        eights: 2,
        day: NOW.to_date,
        by_name: "D",
        created_at: NOW
      )
    end,
    "minutes it took" => -> { slot.update!(actual_minutes: 31) },
    "a pin" => -> { send_json "/pieces/#{piece.id}/slots/#{slot.id}/pin", { "to" => "yes" } },
    "a slot that moved" => -> { slot.update!(start_minute: slot.start_minute + 5) },
    "a slot that went" => lambda do
      App::Planning::Actions::CopySlots.remove(plan, [plan.slots.where(kind: "cool_down").first])
    end,
    "a plan that was told" => -> { send_form "/pieces/#{piece.id}/plans/#{plan.id}/publish", { "homes" => "99" } },
    "a setting of the studio" => -> { studio.update!(settings: { "latest_finish" => 1200 }) },
    "another piece's plan" =>
      lambda do
        other =
          make_piece(studio, director, title: "Spring Piece", lines: "Rain, 2 eights, Odalys").tap do |made|
            make_cast(made)
          end
        App::Planning::Actions::Make.new(other, director.account, studio.local(NOW)).run
      end
  }

  changes.each do |what, change|
    it "is another after #{what}" do
      before = stamp
      App::Shared::Clock.frozen_at = NOW + 60
      instance_exec(&change)
      studio.reload
      expect(stamp).not_to eq before
    end
  end

  it "is the same while nothing happens, until a rehearsal begins or a day is over" do
    before = stamp
    %w[/ /rehearsals /calls].each { |path| get path }
    get "/pieces/#{piece.id}/plan"
    expect([stamp, stamp(NOW + 1800)]).to all(eq(before))
    expect([stamp(Time.utc(2027, 2, 2, 18)), stamp(Time.utc(2027, 2, 3, 1))].map { |later| later == before }).to eq [
      false,
      false
    ]
  end

  it "is not touched by another studio" do
    before = stamp
    other = make_studio
    make_season(other)
    other.rehearsals.first.update!(cancelled_at: NOW)
    expect(stamp).to eq before
  end

  it "shows on the plan at once what changed, whatever was kept" do
    path = "/pieces/#{piece.id}/plan"
    seen = -> { get(path).body }
    first = seen.call
    expect(seen.call.scan("data-slot=").size).to eq first.scan("data-slot=").size
    send_json "/pieces/#{piece.id}/slots/#{slot.id}/pin", { "to" => "yes" }
    expect([first, seen.call].map { |body| body.include?(", pinned") }).to eq [false, true]
    rehearsal.update!(cancelled_at: NOW + 1)
    expect([seen.call.include?("was cancelled"), seen.call.include?("6 rehearsals ahead")]).to eq [true, true]
    dancers.first.update!(name: "Zora Test")
    expect(seen.call).to include "Zora Test"
  end
end
