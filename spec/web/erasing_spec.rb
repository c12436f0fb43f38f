# frozen_string_literal: true

require "web_helper"
require "support/run_world"

# Erasing a person: what goes, what stays, whose name is like theirs, and the work that is called as they are.
RSpec.describe "erasing somebody", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:grace) { studio.people.create!(name: "Grace Field", dances: true) }

  before do
    piece.castings.create!(studio_id: studio.id, person: grace)
    sign_in director
  end

  def erase(person = grace, name: person.name) = send_form("/people/#{person.id}/erase", { "name" => name })

  def note(text, **more)
    piece.notes.create!(studio:, kind: "fix", about: "piece", text:, by_name: "M", said_at: 1, created_at: NOW,
                        client_id: SecureRandom.hex(8), **more)
  end

  it "takes the first name out of words about people, and not out of the work that bears it" do
    section = piece.sections.first
    section.update!(name: "Grace")
    section.eights.first.update!(text: "1 step R with Grace, after Grace Field")
    said = note("Grace rushes, Gracefully is not meant")
    erase
    expect(said.reload.text).to eq "somebody rushes, Gracefully is not meant"
    expect(section.reload.name).to eq "Grace"
    expect(section.eights.first.text).to eq "1 step R with Grace, after somebody"
  end

  it "leaves a first name that somebody else bears too" do
    studio.people.create!(name: "Ann Grace", dances: true)
    said = note("Grace rushes; Grace Field does not")
    erase
    expect(said.reload.text).to eq "Grace rushes; somebody does not"
  end

  it "touches no other studio" do
    other = make_studio
    theirs = other.people.create!(name: "Grace Field", dances: true)
    erase
    expect([theirs.reload.name, grace.reload.name]).to eq ["Grace Field", "Somebody #{grace.id}"]
  end

  it "takes away notes to them, links, days and yes, and where they are called from now on, not where they were" do
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
    note("heels", about: "person", person: grace)
    grace.absences.create!(studio:, from_date: "2027-02-10", to_date: "2027-02-10")
    grace.person_links.issue(studio_id: studio.id)
    RunWorld.make_consent(studio, grace)
    slots = piece.published_plan.slots.includes(:rehearsal).sort_by { |one| one.rehearsal.date }
    behind, ahead = slots.values_at(0, -1).map(&:rehearsal)
    App::Shared::Clock.frozen_at = ahead.date.to_time(:utc) - 86_400
    calls = lambda do |rehearsal|
      studio.slot_people.joins(:slot).where(person_id: grace.id, slots: { rehearsal_id: rehearsal.id }).count
    end
    slots.values_at(0, -1).each do |one|
      one.slot_people.find_or_create_by!(studio_id: studio.id, person_id: grace.id) { |row| row.role = "dancer" }
    end
    before = calls[behind]
    sign_in director
    erase
    notes = studio.notes.where(person_id: grace.id)
    gone = [notes, grace.absences, grace.person_links, studio.consents, grace.castings]
    expect(gone.map(&:count)).to all(eq(0))
    expect([calls[behind], calls[ahead]]).to eq [before, 0]
    expect(grace.reload.archived_at).not_to be_nil
  end

  it "asks for the name as it stands, and for the account to be taken away first" do
    erase(name: "grace field")
    expect([last_response.status, grace.reload.name]).to eq [422, "Grace Field"]
    make_member(studio, "choreographer", person: grace)
    erase
    expect(last_response.body).to include "take their place in the team away first"
    expect(grace.reload.erased_at).to be_nil
  end

  it "is the director's alone" do
    sign_in make_member(studio, "assistant")
    erase
    expect([last_response.status, grace.reload.name]).to eq [403, "Grace Field"]
    expect(get("/people/#{grace.id}/kept").status).to eq 403
  end

  it "lets the log change for nothing else" do
    piece.castings.create!(studio_id: studio.id, person: studio.people.create!(name: "Bo", dances: true))
    entry = piece.ledger_entries.create!(
      studio_id: studio.id, person: grace, item_key: "s1", kind: "danced", rung: 1, day: NOW.to_date,
      by_name: "Grace Field", created_at: NOW, seq: 1
    )
    expect { Records::Base.transaction(requires_new: true) { entry.update_columns(rung: 5) } }
      .to raise_error(ActiveRecord::StatementInvalid, /append-only/)
    erase
    expect(entry.reload.slice(:rung, :by_name, :person_id).values).to eq [1, "somebody", grace.id]
  end
end
