# frozen_string_literal: true

require "browser_helper"

# Who has it in the browser: other strands and orders, signing off with an exception, overruling, a report that waits,
# and the same on a phone.
RSpec.describe "learning", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director", name: "Ilse") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:walk) { piece.sections.find_by!(name: "Opening Walk") }
  let(:grid) { "/pieces/#{piece.id}/who-has-it" }

  before do
    cells = dancers.first(3).map { |person| "#{person.id}:s#{walk.id}" }
    App::Learning::Actions::RecordTicks.new(piece, director, { "cells" => cells, "rung" => 4 }, NOW.to_date).run
    enter(director)
  end

  def first_cell(person) = find("tr[data-p='#{person.id}']").all("td[data-i]")[1]

  it "ticks a dancer on the spots without moving the own part, and sorts by who is behind" do
    visit grid
    select "on the spots, with the groups", from: "What"
    expect(page).to have_css("td.r0").and have_no_css("td.r4")
    first_cell(dancers.first).click
    first_cell(dancers.first).send_keys("3")
    expect(page).to have_text("1 ticked").and have_css("td.r3", count: 2)
    expect(page).to have_css("aside", text: "on the spots, with the groups")
    select "their own part", from: "What"
    expect(page).to have_css("td.r4").and have_no_css("td.r3")
    select "most to catch up", from: "in the order of"
    expect(page).to have_css("tbody tr:first-child th", text: /Dov Test\s+\d steps to catch up/)
  end

  it "signs off for everybody but one, and overrules with a reason that stays" do
    visit grid
    click_link "To sign off"
    uncheck "Bram Test"
    click_button "Sign off"
    expect(page).to have_text("Signed off for 2 dancers.").and have_field("Bram Test", checked: true)
    click_link "Ready to run?"
    click_link "Full out"
    find("summary", text: "Run it anyway").click
    fill_in "Why", with: "The hall is booked."
    click_button "Overrule, and keep the reason"
    expect(page).to have_text(/Overruled\s+by Ilse/).and have_text("The hall is booked.")
    expect(piece.overrulings.pluck(:kind, :blocks)).to match [["full_out", be > 1]]
  end

  it "lets a dancer say what they have, and whoever teaches it answer with one tap" do
    studio.update!(settings: { "self_reports" => true })
    token = dancers.last.person_links.issue(studio_id: studio.id).last
    visit "/my/#{token}"
    within(find("li", text: "Opening Walk", match: :first)) do
      find("summary").click
      click_button "with music"
    end
    expect(page).to have_text("Whoever teaches it will look.").and have_text("you say: with music")
    odalys = make_member(studio, "choreographer", name: "Odalys", person: walk.choreographer)
    click_out
    enter(odalys)
    expect(page).to have_text("My sections")
    click_link "1 thing waits to be signed off"
    expect(page).to have_text(/Dov Test\s+says: with music/)
    click_button "Sign off"
    expect(page).to have_text("Signed off for 4 dancers.")
    expect(piece.learning_states.find_by!(person: dancers.last, item_key: "s#{walk.id}").rung).to eq 4
  end

  def click_out
    visit "/"
    find(".account summary").click
    click_button "Sign out"
  end

  it "fits a phone: one line of header, one section at a time, nothing wider than the screen" do
    page.current_window.resize_to(500, 844)
    page.driver.browser.page.command("Emulation.setDeviceMetricsOverride", width: 390, height: 844,
                                                                           deviceScaleFactor: 1, mobile: true)
    visit grid
    expect(page).to have_css(".choose-section a", count: 4).and have_no_css("table.has")
    expect(page.evaluate_script("document.querySelector('header.bar').offsetHeight")).to be <= 52
    find(".choose-section a", text: "Opening Walk", match: :first).click
    expect(page).to have_css("table.has td.r4")
    find(".ways summary").click
    within(".ways") { click_link "Joins" }
    expect(page).to have_css("h1", text: "Joins")
    [grid, "#{grid}/ready", "#{grid}/next", "/", "/calls", "/pieces/#{piece.id}/joins/1"].each do |path|
      visit path
      wide = page.evaluate_script("document.documentElement.scrollWidth")
      expect([path, wide]).to eq [path, 390]
    end
  end
end
