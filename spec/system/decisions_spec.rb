# frozen_string_literal: true

require "browser_helper"

# What the demo has waiting for a decision: found from Home in two clicks, and settled where it stands.
RSpec.describe "deciding in the demo", :browser do
  before do
    App::Demo::Builder.new(NOW).run
    walk_in "Ilse Harrow"
  end

  let(:studio) { Records::Studio.find_by!(demo: true) }
  let(:wings) { studio.pieces.find_by!(title: App::Demo::World::WINGS) }
  let(:path) { "/pieces/#{wings.id}" }

  def eights(name) = wings.sections.find_by!(name:).eights.pluck(:text)

  def counts = Records::Mapping::Works.load(wings.reload).order.links.sum { |placed| placed.link.counts }

  it "mends a clash of weight: looked at first, done, taken back" do
    before = eights("Smoke")
    click_link "Smoke into Drift does not fit: free foot"
    expect(page).to have_css("h1", text: "Smoke into Drift").and have_css("tr.is-clash", text: "weight on the right")
    click_link "End Smoke with a weight change on 8"
    expect(page).to have_css("ins", text: "close L").and have_text("Joins afterwards")
    expect(eights("Smoke")).to eq before
    click_button "Do it"
    expect(page).to have_no_css("tr.is-clash")
    expect(eights("Smoke").last).to include "close L"
    click_button "Undo"
    expect(page).to have_no_text("Undo")
    expect(eights("Smoke")).to eq before
  end

  it "agrees a join again that changed since, in words that stay" do
    click_link "First Flight into Waggle Line changed since it was agreed"
    fill_in "In words, if you like", with: "settle, then go on the bell"
    click_button "Agreed again"
    expect(page).to have_css("li", text: "settle, then go on the bell").and have_button("Take it back")
    visit "/"
    expect(page).to have_no_text("First Flight into Waggle Line changed")
    visit "#{path}/joins/2"
    click_button "Take it back"
    expect(page).to have_css("li", text: "settle, then go on the bell").and have_no_button("Take it back")
  end

  it "leaves another's section to its teacher, who may still agree it in the room" do
    Capybara.reset_sessions!
    walk_in "Odalys Venn"
    visit "#{path}/joins/6/mend?state=weight&n=0"
    expect(page).to have_text("Only Kwabena Thorpe or a director changes this section").and have_no_button("Do it")
    visit "#{path}/joins/6"
    click_button "Agreed in the room"
    expect(page).to have_text("Agreed").and have_button("Take it back")
  end

  it "walks a too fast way on the floor, and gives it the counts that are missing" do
    click_link "Comb into Swarm does not fit: place"
    expect(page).to have_css("tr.is-clash", text: "Place").and have_text("Everybody’s way")
    find("tr.is-clash a.mend", match: :first).click
    expect(page).to have_text("longer; everything after it moves")
    before = counts
    click_button "Do it"
    expect(page).to have_no_css("tr.is-clash", text: "Place")
    expect(counts).to be > before
  end

  it "says link by link what to do when somebody is out, and leads to it on paper" do
    visit "#{path}/holes"
    name = wings.people.order(:name).first.name
    check name
    expect(page).to have_css("tbody tr", minimum: 3, text: name).and have_css(".lead", text: name)
    expect(find_link("PDF")[:href]).to match(%r{/holes\.pdf\?out.*=\d+\z})
  end

  it "keeps a register by hand, and says which minutes it cannot read" do
    past = studio.rehearsals.standing.where(date: ..NOW.to_date).to_a.reverse.find { |each| each.slots.any?(&:work?) }
    visit "/rehearsals/#{past.id}/call-sheet"
    find("summary", text: "Who was here").click
    name = first("#register label.out").text
    uncheck name
    find("summary", text: "How long it took").click
    first("#register input[type=text]").fill_in(with: "a while")
    click_button "Save the register"
    expect(page).to have_text("Minutes are whole numbers")
    expect(first("#register input[type=text]").value).to eq "a while" # nothing typed is lost
    expect(page).to have_unchecked_field(name)
    first("#register input[type=text]").fill_in(with: "25")
    click_button "Save the register"
    expect(past.attendances.where(present: false).map { |each| each.person.name }).to include name
    expect(past.slots.reload.map(&:actual_minutes)).to include 25
  end
end
