# frozen_string_literal: true

require "web_helper"
require_relative "../support/own_world"
require_relative "../support/season_checks"

# Every kind of change that can be tried, on three seasons: what is done is what was shown, to the minute, and the world
# it was tried in is the world there is afterwards.
RSpec.describe "what if, kind by kind", :web do
  include OwnWorld

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:path) { "/pieces/#{piece.id}/plan" }
  let(:now) { studio.local(NOW) }
  let(:dancers) { make_cast(piece, %w[Ada Bo Cai Dee Eli]) }

  def person(name) = studio.people.find_by!(name:)
  def latest = piece.reload.latest_plan

  # Two teachers of whom one is a guest, somebody away for two weeks, two rooms.
  def guest_season
    dancers
    make_season(studio, last: "2027-03-09", rooms: [["Hall", 40], ["Loft", 30]], days: %w[2 4])
    %w[2027-02-04 2027-02-16 2027-02-25].each { |date| person("Mirela").visits.create!(studio:, date:) }
    dancers.first.absences.create!(studio:, from_date: "2027-02-16", to_date: "2027-02-27")
  end

  # Minors, a plan that was told, a second piece that was told before.
  def told_season
    make_season(studio, last: "2027-03-09", rooms: [["Hall", 40], ["Loft", 30]])
    studio.people.where(id: dancers.map(&:id)).update!(band: "12_15", adult: false)
    other = make_piece(studio, director, title: "Other Piece", lines: "Gate, 4 eights, Odalys\nLamp, 2 eights, Odalys")
    other.castings.create!(studio:, person: dancers.last)
    [other, piece].each { |each| tell(each) }
    dancers[1].absences.create!(studio:, from_date: "2027-03-01", to_date: "2027-03-09")
  end

  # Nothing planned yet, one evening too few.
  def short_season
    dancers
    make_season(studio, last: "2027-02-16", to: "19:10", rooms: [["Hall", 40], ["Loft", 30]])
    dancers.first.absences.create!(studio:, from_date: "2027-02-09", to_date: "2027-02-09")
  end

  def tell(each)
    send_form "/pieces/#{each.id}/plan", {}
    send_form "/pieces/#{each.id}/plans/#{each.reload.latest_plan.id}/publish", { "homes" => "99" }
  end

  # {kind => what its form says}.
  def asked
    section = piece.sections.order(:position).first
    changed = piece.links.order(:position).last
    changed.update!(changes_made: { "replace" => { "2" => { "counts" => 8, "text" => "1-8 hold" } } })
    who = dancers.first.id.to_s
    {
      "school" => { "school" => "back" },
      "without" => { "rehearsal" => studio.rehearsals.order(:date).last.id.to_s },
      "extra" => { "date" => "2027-02-27", "start" => "10:00", "end" => "12:00" },
      "freed" => { "person" => who }, "leaves" => { "person" => who },
      "comes" => { "person" => who, "date" => "16 Feb" },
      "away" => { "person" => dancers[2].id.to_s, "from" => "16 Feb", "to" => "18 Feb" },
      "room" => { "room" => studio.rooms.order(:id).last.id.to_s }, "passes" => { "passes" => "fewer" },
      "teacher" => { "section" => section.id.to_s, "teacher" => person("Mirela").id.to_s },
      "helper" => { "section" => section.id.to_s, "teacher" => person("Mirela").id.to_s },
      "runs" => { "count" => "2" }, "runs_without" => { "section" => section.id.to_s }, "quorum" => { "share" => "60" },
      "dates" => { "which" => "show", "date" => "13 Mar" }, "plain" => { "link" => changed.id.to_s }
    }.to_h { |kind, fields| [kind, { "change" => kind, **fields }] }
  end

  # A problem without the name of what was only thought of.
  def told(problem)
    facts = problem.to_h.except(:plan, :now, :windows)
    facts.merge(unavailable: problem.unavailable.sort_by(&:to_s),
                windows: problem.windows.map { |each| each.with(id: each.date) }, target_window: nil)
  end

  def then_of(change)
    App::Reading::PlanDraft.new(piece, now, what_if: App::Planning::Changes.of(piece, change))
  end

  # What the page shows of the plan as it would be, and what it is once it is done.
  def tried_and_done(change)
    was = told(then_of(change).problem)
    send_form "#{path}/what-if", change
    offer = piece.plan_offers.order(:id).last
    send_form "#{path}/offers/#{offer.id}/take", { "way" => "then" }
    piece.reload
    expect(told(App::Reading::PlanDraft.new(piece, now).problem)).to eq(was), change["change"]
    shown = offer.facts["then"].values_at("ready", "unplaced", "waiting")
    checks = SeasonChecks.new(Records::Studio.find(studio.id), latest, now, beside:)
    [[*shown, offer.facts["changes"].presence], done, checks.faults]
  end

  def beside
    studio.plans.where(replaced_at: nil).where.not(published_at: nil).where.not(piece_id: piece.id).to_a
  end

  def done
    result = latest.result
    unplaced = result["unplaced"].sum { |each| each["minutes"] }
    [(result["ready"] if unplaced.zero?), unplaced, result["waiting"], result["changes"].presence]
  end

  { "with a guest and somebody away" => :guest_season, "told, with minors and a second piece" => :told_season,
    "too short" => :short_season }.each do |name, season|
    it "does to the minute what was shown, #{name}" do
      sign_in director
      send(season)
      changes = asked
      expect(changes.keys).to match_array App::Planning::Changes::KINDS
      changes.each do |kind, change|
        in_a_world_of_its_own do
          sign_in director
          shown, is, faults = tried_and_done(change)
          expect([kind, is, faults]).to eq [kind, shown, []]
        end
      end
    end
  end
end
