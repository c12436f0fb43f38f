# frozen_string_literal: true

require "web_helper"

# A studio of real people: on every evening somebody is away, and the piece is made all the same.
RSpec.describe "planning with somebody away every evening", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai Dee Eli Fay Gus Hal Ivo Jun]) }
  let(:evenings) { studio.rehearsals.order(:date).to_a }
  let(:away) { dancers.each_slice(2).zip(evenings.drop(1)).first(5).to_h { |two, evening| [evening.date, two] } }

  before do
    make_season(studio)
    away.each do |date, two|
      two.each { |each| each.absences.create!(studio:, from_date: date, to_date: date) }
    end
    sign_in director
    send_form "/pieces/#{piece.id}/plan", {}
  end

  def plan = piece.reload.latest_plan
  def slots = plan.slots.work.includes(:rehearsal, :slot_people).order(:id)
  def shown = CGI.unescapeHTML(get("/pieces/#{piece.id}/plan").body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))

  it "places everything, calls nobody who is away, and says who a slot goes without" do
    expect(plan.result.fetch("unplaced", [])).to eq []
    called = slots.flat_map { |slot| slot.slot_people.map { |each| [slot.rehearsal.date, each.person_id] } }
    expect(called & away.flat_map { |date, two| two.map { |each| [date, each.id] } }).to eq []
    date, two = away.find { |day, _| slots.any? { |slot| slot.rehearsal.date == day } }
    expect(date).not_to be_nil
    App::Shared::Clock.frozen_at = date.to_time(:utc) - (9 * 3600)
    expect(shown).to include "without #{two.map(&:name).join(', ')}"
    expect(shown).not_to include "is not called"
  end

  it "has somebody who leads each run, though nobody is called twice" do
    runs = slots.select { |slot| slot.kind == "run" }
    teachers = runs.map { |slot| slot.slot_people.count { |each| each.role == "teacher" } }
    expect(teachers).to eq [1] * piece.setting("full_runs")
  end

  it "keeps who leads and who is called when it is planned again and nothing happened" do
    send_form "/pieces/#{piece.id}/plans/#{plan.id}/publish", { "homes" => "99" }
    before = slots.map { |slot| [slot.task_key, slot.rehearsal_id, slot.slot_people.map(&:person_id).sort] }
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "repair"
    after = slots.map { |slot| [slot.task_key, slot.rehearsal_id, slot.slot_people.map(&:person_id).sort] }
    expect(after.sort).to eq before.sort
  end
end
