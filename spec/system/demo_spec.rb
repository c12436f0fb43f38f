# frozen_string_literal: true

require "browser_helper"

# Through the demo, and every screen held against axe, the content policy and the console.
RSpec.describe "the demo", :browser do
  before { App::Demo::Builder.new(NOW).run }

  let(:studio) { Records::Studio.find_by!(demo: true) }
  let(:wings) { studio.pieces.find_by!(title: App::Demo::World::WINGS) }

  it "opens by a door, and shows a season half way" do
    walk_in "Ilse Harrow"
    expect(page).to have_text("Ninety Thousand Wings").and have_text("Market Day").and have_text("Archived (1)")
    expect(page).to have_text("Rain Break is written but has no place in the order")
    click_link "Ninety Thousand Wings", exact: true
    expect(page).to have_css(".spine-picks a", count: 11)
    find(".spine-picks a[aria-label*='3. Waggle Line']").click
    expect(page).to have_css(".capsule.picked", text: "")
    click_link "Who has it"
    expect(page).to have_css("tr[data-p]", count: 26).and have_css("td.fading")
    select "Foragers", from: "Who"
    expect(page).to have_css("tr[data-p]", count: 6)
    select "on the spots, with the groups", from: "What"
    expect(page).to have_css("td.r2, td.r3, td.r4").and have_no_css("td.changed")
    click_link "Ready to run?"
    expect(page).to have_text("things block it").and have_text("from Overwinter to Waggle Line · 5 links")
    click_link "Plan"
    expect(page).to have_text("to spare").and have_text("5 of 5")
    click_button "Plan again from today"
    within(first("section", text: "Make it anew")) { click_button "Take this one" }
    expect(page).to have_text("This plan is a draft; calls still follow the one before")
  end

  it "lets a choreographer save an own section and only look at another's" do
    walk_in "Odalys Venn"
    visit "/pieces/#{wings.id}/sections/#{wings.sections.find_by!(name: 'Drift').id}"
    fill_in "Notes", with: "Eyes down until the last ten."
    click_button "Save"
    expect(page).to have_text("Drift saved.")
    visit "/pieces/#{wings.id}/sections/#{wings.sections.find_by!(name: 'Smoke').id}"
    expect(page).to have_field("Notes", disabled: true).and have_no_button("Save")
  end

  it "proposes two share-outs, lets a cut be moved by key, and takes one" do
    walk_in "Ilse Harrow"
    by = studio.people.choreographers.ids
    visit "/pieces/#{wings.id}/sharing?cuts=0-2-4-6&by=#{by.join('-')}"
    expect(page).to have_text("Even minutes").and have_text("Fewest handovers").and have_text("Your cut")
    all("button.cut").last.send_keys(:left)
    expect(page).to have_current_path(/cuts=0-2-4-5/)
    click_button "Take this one", class: "main"
    expect(page).to have_text("changed hands.")
    expect(wings.sections.reload.map(&:choreographer_id).uniq.size).to eq 4
  end

  it "has nothing serious to say about any screen" do
    visit "/sign-in"
    faults = check("/sign-in")
    walk_in "Ilse Harrow"
    ask_for_plans
    faults += screens.flat_map { |path| check(path) }
    expect(faults.join("\n")).to eq ""
  end

  # What the worker has worked out stands on three of the screens.
  def ask_for_plans
    director = studio.memberships.find_by!(role: "director").account
    { "schools" => {}, "replanning" => {}, "what_if" => { "change" => "passes", "passes" => "fewer" } }
      .each { |kind, asked| App::Planning::Actions::AskForPlans.new(wings, director, kind, asked).run }
  end

  def check(path)
    visit path
    (serious_faults + violations).map { |fault| "#{path}: #{fault}" }
  end

  def screens
    piece = "/pieces/#{wings.id}"
    token = studio.people.find_by!(name: "Ada Quill").person_links.first && "/my/demo-#{studio.id}"
    mine = wings.links.ids.first(2).map { |id| "#{token}/links/#{id}" }
    [
      "/",
      *mine, *%w[top memory].map { |page| "#{token}/#{page}/#{wings.id}" }, "#{token}/kept",
      "/people/#{studio.people.dancers.first.id}/kept",
      "/people",
      "/people/#{studio.people.dancers.first.id}",
      "/people/#{studio.people.choreographers.first.id}",
      "/roster",
      "/rehearsals",
      "/calls",
      "/calls/calendars",
      "/files",
      "/files/piece",
      "/files/archive",
      "/studios/archive",
      "/settings",
      "/settings/programs",
      "/outbox",
      "/studios",
      "/pieces/new",
      piece,
      "#{piece}/structure",
      "#{piece}/music",
      "#{piece}/groups",
      "#{piece}/sections/#{wings.sections.first.id}",
      "#{piece}/steps",
      "#{piece}/sharing",
      "#{piece}/names",
      "#{piece}/links/#{wings.links.last(2).first.id}/changes",
      "#{piece}/who-has-it",
      *%w[ready coverage catch-up understudies sign-offs next].map { |panel| "#{piece}/who-has-it/#{panel}" },
      "#{piece}/joins",
      "#{piece}/joins/6",
      "#{piece}/joins/8",
      "#{piece}/joins/6/mend?state=weight&n=0",
      "#{piece}/spacing?at=9&seen=near-hidden",
      "#{piece}/spacing?at=9&show=lines",
      "#{piece}/spacing?at=9&moment=count-41",
      "#{piece}/holes?out[]=#{wings.people.first.id}",
      "#{piece}/steps?section=#{wings.sections.find_by!(name: 'Smoke').id}&version=seated",
      "#{piece}/cell?person=#{wings.people.first.id}&item=s#{wings.sections.first.id}",
      "#{piece}/plan",
      "#{piece}/plan/schools",
      "#{piece}/plan/what-if",
      "#{piece}/plan/again",
      "#{piece}/runs",
      *wings.runs.ids.map { |id| "#{piece}/runs/#{id}" },
      "#{piece}/notes",
      "#{piece}/notes?run=#{wings.runs.last.id}",
      "#{piece}/clips",
      *wings.uploads.clips.ids.map { |id| "#{piece}/clips/#{id}" },
      "#{piece}/calls",
      "/rehearsals/#{studio.rehearsals.first.id}/call-sheet",
      "#{piece}/files",
      "#{piece}/sections/#{wings.sections.first.id}/paste",
      "/rehearsals/#{studio.rehearsals.first.id}/afterwards",
      "/rehearsals/#{studio.rehearsals.find_by!(date: NOW.to_date).id}/room",
      "/room",
      token
    ]
  end
end
