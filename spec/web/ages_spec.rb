# frozen_string_literal: true

require "web_helper"

# Age bands instead of adult or minor, and no birth date: asked once for all, said on the roster, minded by the plan.
RSpec.describe "age bands", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  it "are read from a roster, asked once of the others, and put right on a page of one's own" do
    sign_in director
    list = "Name;Group;Age\nAda Reed;Gulls;10\nBram Moss;Gulls;under 8\nCleo Pike;Terns;\nDora Vane;Terns;adult"
    send_form "/roster", { "text" => list, "piece" => piece.id.to_s }
    bands = -> { studio.people.dancers.pluck(:name, :band, :adult).map { |name, *age| [name.split.first, *age] } }
    expect(bands.call).to eq [
      ["Ada", "8_11", false], ["Bram", "under_8", false], ["Cleo", nil, false], ["Dora", "adult", true]
    ]
    expect(get("/people").body).to include "How old is one dancer?"
    send_form "/ages", { "band" => "16_17" }
    expect(get("/people").body).not_to include "How old"
    cleo = studio.people.find_by!(name: "Cleo Pike")
    expect(cleo.band).to eq "16_17"
    send_form "/people/#{cleo.id}", { "name" => cleo.name, "dances" => "1", "band" => "adult", "lock_version" => "9" }
    send_form "/people/#{cleo.id}", { "name" => cleo.name, "dances" => "1", "band" => "adult",
                                      "lock_version" => cleo.reload.lock_version.to_s }
    expect(cleo.reload.slice(:band, :adult).values).to eq ["adult", true]
  end

  it "keep the young from work after they are home, and from more than their minutes a day" do
    ada, bram, = make_cast(piece)
    ada.update!(band: "under_8")
    make_season(studio)
    problem = App::Reading::PlanDraft.new(piece.reload, studio.local(NOW)).problem
    id = ->(person) { Records::Mapping::Identifiers.person(person.id) }
    limits = problem.limits.to_h { |limit| limit.values_at(:who, :minutes_per_day) }
    expect([limits[id.call(ada)], limits[id.call(bram)]]).to eq [90, 300]
    late = problem.unavailable.select { |away| away[:late] }.map { |away| away[:who] }.uniq
    expect(late).to eq [id.call(ada)]
  end

  it "stand beside what somebody always needs: wheels for the plan's rooms, a word for the call sheet" do
    sign_in director
    send_form "/roster", { "text" => "Name;Needs\nAda Reed;wheelchair\nBram Moss;faces us to lip-read\nCleo Pike;",
                           "piece" => piece.id.to_s }
    ada, bram, = studio.people.dancers.to_a
    needs = [ada, bram].map { |person| [person.wheels, person.needs] }
    expect(needs).to eq [[true, ""], [false, "faces us to lip-read"]]
    expect(Records::Mapping::Wheels.of(piece.reload)).to eq [ada.id]
    make_season(studio)
    plan = App::Planning::Actions::Make.new(piece.reload, director.account, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    day = plan.slots.where(kind: "learn").joins(:slot_people).where(slot_people: { person_id: bram.id }).first.rehearsal
    expect(get("/rehearsals/#{day.id}/call-sheet").body).to include "faces us to lip-read"
    form = { "name" => bram.name, "dances" => "1", "band" => "", "needs" => "", "wheels" => "1" }
    send_form "/people/#{bram.id}", { **form, "lock_version" => bram.reload.lock_version.to_s }
    expect(bram.reload.slice(:needs, :wheels).values).to eq ["", true]
  end

  it "keep a roster's groups and leaders with the people, where there is no piece yet" do
    sign_in director
    send_form "/roster", { "text" => "Name;Group;Leader\nAda Reed;Gulls;yes\nBram Moss;Gulls\nCleo Pike;Terns" }
    expect(studio.people.dancers.pluck(:roster_groups, :roster_leads)).to eq [
      [["Gulls"], ["Gulls"]], [["Gulls"], []], [["Terns"], []]
    ]
    expect(get("/pieces/#{piece.id}/groups").body).to include "From the roster: Gulls (2), Terns (1)."
    send_form "/pieces/#{piece.id}/groups/roster", {}
    expect(piece.groups.reload.map { |group| [group.name, group.people.count, group.leader&.name] }).to eq [
      ["Gulls", 2, "Ada Reed"], ["Terns", 1, nil]
    ]
    expect(get("/pieces/#{piece.id}/groups").body).not_to include "From the roster"
  end
end
