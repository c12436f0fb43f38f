# frozen_string_literal: true

require "browser_helper"
require_relative "../support/season_checks"

# Two weeks of a director with two pieces: planned and told together, somebody ill, an evening over, planned again, a
# room lost. What each family was told never contradicts itself, and what was told for the next days is what happens.
RSpec.describe "two weeks of a director", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:pieces) do
    [make_piece(studio, director), make_piece(studio, director, title: "Other Piece", show_date: "2027-04-10")]
  end
  let(:clock) { App::Shared::Clock }

  before do
    pieces.each { |each| make_cast(each, %w[Ada Bo Cai Dee Eli Fay]) }
    make_season(studio, last: "2027-04-06", days: %w[2 5], rooms: [["Hall", 40], ["Loft", 20]])
    enter director
  end

  def told = pieces.map { |each| each.reload.published_plan }
  def now = studio.local(clock.now)

  def faults = told.flat_map { |plan| SeasonChecks.new(studio, plan, now, beside: told - [plan]).faults }
  def conflicts(piece) = App::Reading::PlanConflicts.of(piece.reload.latest_plan, piece, now)

  # One piece's telling may leave another's to warm up again: its page says so, and the director plans it again.
  def plan_all_again(way)
    pieces.each { |each| plan_again(each, way) }
    pieces.each { |each| plan_again(each, way) if conflicts(each).any? }
  end

  # {[person, date] => [[from, to, what], …]} of the days of the fixed stretch, without warming up.
  def next_days(except: [])
    slots = studio.slots.where(plan_id: told.map(&:id)).includes(:rehearsal, :slot_people).reject(&:warm_up?)
    soon = slots.select { |slot| slot.rehearsal.date.between?(now.to_date, now.to_date + 7) }
    calls = soon.flat_map { |slot| slot.slot_people.map { |each| [each.person_id, slot] } }
    others = calls.reject { |who, _| except.include?(who) } # rubocop:disable Style/HashExcept -- pairs, no hash
    others.group_by { |who, slot| [who, slot.rehearsal.date] }
      .transform_values { |same| same.map { |_, slot| [slot.start_minute, slot.end_minute, slot.title] }.sort }
  end

  def plan_again(piece, way)
    visit "/pieces/#{piece.id}/plan"
    first("button", text: /See what to do|Plan again from today/).click
    expect(page).to have_css("button", text: "Take this one", minimum: 2)
    within(first("section", text: way)) { click_button "Take this one" }
    expect(page).to have_text("calls still follow the one before")
    click_button "Tell everybody"
    expect(page).to have_text("Everybody's calls now follow this plan.")
  end

  it "tells families what happens, and nothing else" do
    visit "/season"
    click_button "Plan them together"
    click_button "Take it"
    expect(page).to have_text("planned together, not told yet")
    click_button "Tell everybody"
    expect(page).to have_text("Everybody's calls now follow this plan.")
    expect(faults).to eq []

    ada = studio.people.find_by!(name: "Ada Test")
    before = next_days(except: [ada.id])
    visit "/people/#{ada.id}"
    fill_in "When not, or from when, in your words", with: "tomorrow to 14 Feb"
    click_button "Keep it"
    expect(page).to have_text("Wed 3 Feb – Sun 14 Feb")
    plan_all_again("Keep what stands")
    expect([faults, next_days(except: [ada.id])]).to eq [[], before]
    expect(next_days.keys.select { |who, date| who == ada.id && date > now.to_date }).to eq []

    clock.frozen_at = Time.utc(2027, 2, 10, 17)
    enter director
    promised = next_days
    visit "/rehearsals"
    click_button "Archive Loft"
    expect(page).to have_text("Loft is archived.")
    plan_all_again("Make it anew")
    expect(faults).to eq []
    kept = next_days
    expect(kept.select { |key, _| promised.key?(key) }.all? { |key, calls| (calls - promised[key]).empty? }).to be true
    expect(kept.keys - promised.keys).to eq []
  end
end
