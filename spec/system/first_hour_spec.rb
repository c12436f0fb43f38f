# frozen_string_literal: true

require "browser_helper"

# From an empty studio to a first plan in no more than twelve clicks, with a list in everyday words, a pasted roster and
# one weekly pattern.
RSpec.describe "the first hour", :browser do
  list = <<~LIST
    Paper Boats
    120 bpm, show on 10 April
    first the intro, that's two eights, Mel does that
    then the verse, four eights, Bo
    chorus 4 eights Mel and Bo
    verse again, other side
    chorus once more
    costumes by Friday pls
  LIST
  roster = "Name;Group\nAda Reed;Gulls\nBram Moss;Gulls\nCleo Pike;Terns\nDov Lark;Terns"

  def clicking
    @clicks = @clicks.to_i + 1
    yield
  end

  it "leads to a plan in twelve clicks, and the way closes link by link" do
    studio = make_studio
    enter make_member(studio, "director")
    expect(page).to have_css(".way-home li.next", text: "The piece").and have_no_text("Nothing waits for you")
    clicking { click_link "Say what it is made of" }
    fill_in "structure", with: list
    expect(page).to have_field("Title", with: "Paper Boats").and have_field("Beats a minute", with: "120")
    expect(page).to have_field("Show date", with: "2027-04-10").and have_text("5 links from 3 sections")
    clicking { click_button "They all teach" }
    expect(page).to have_css(".newcomers input:checked", count: 2)
    clicking { click_button "Create the piece" }
    expect(page).to have_css(".way-strip li.done", count: 1).and have_css(".way-strip li.next", text: "People")
    clicking { within(".way-strip") { click_link "People" } }
    fill_in "Paste the list", with: roster
    clicking { click_button "Preview" }
    clicking { click_button "Import 4 dancers" }
    clicking { within(".way-strip") { click_link "Rehearsals" } }
    fill_in "Room", with: "Hall"
    fill_in "Holds", with: "20"
    fill_in "From", with: Date.new(2027, 2, 2)
    fill_in "To", with: Date.new(2027, 3, 30)
    clicking { check "Tue" }
    clicking { click_button "Add rehearsals" }
    clicking { within(".way-strip") { click_link "The plan" } }
    clicking { click_button "Make the plan" }
    expect(page).to have_text("This plan is a draft", wait: 30)
    expect(@clicks).to be <= 12
    expect(studio.plans.last.slots.where(kind: "learn").count).to be >= 3
    click_button "Tell everybody"
    expect(page).to have_no_css(".way-strip")
    expect(studio.people.where(teaches: true).order(:id).pluck(:name)).to eq %w[Mel Bo]
  end

  it "is put away by a tap, and comes back by undo" do
    enter make_member(make_studio, "director")
    click_button "I know my way"
    expect(page).to have_no_css(".way-home")
    click_button "Undo"
    expect(page).to have_css(".way-home li", count: 6)
  end
end
