# frozen_string_literal: true

require "browser_helper"

RSpec.describe "joins and the floor in the browser", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }

  before do
    piece.sections.first.eights.last.update!(text: "1 step L 8 step R")
    piece.sections.second.eights.first.update!(text: "1 step R 2 step L")
    piece.touch
    enter director
  end

  def spot(name) = find(".spot[aria-label*='#{name}']")

  def where(dancer)
    Records::Spot.find_by(person_id: dancer.id)&.then { |row| [row.x.to_f, row.y.to_f, row.facing, row.pinned] }
  end

  it "finds a clash from Home in two clicks, looks at a mend, does it, and takes it back" do
    visit "/"
    click_link "Opening Walk into Spiral does not fit: free foot"
    expect(page).to have_css("svg.seam-clash").and have_text("steps out on the right")
    click_link "End Opening Walk with a weight change on 8"
    expect(page).to have_text("1 step L 8 step R & close L")
    click_button "Do it"
    expect(page).to have_text("Done: End Opening Walk with a weight change on 8.").and have_css(
      "h1",
      text: "Opening Walk into Spiral"
    )
    expect(page).to have_no_css(".states .seam-clash")
    click_button "Undo"
    expect(page).to have_text("Back to version")
    expect(piece.sections.first.eights.reload.last.text).to eq "1 step L 8 step R"
  end

  it "agrees a join with one tap" do
    visit "/pieces/#{piece.id}/joins/1"
    click_button "Agreed in the room"
    expect(page).to have_css(".head-row svg.seam-agreed")
  end

  it "moves somebody by keys and by dragging, turns and pins them, and saves by itself" do
    visit "/pieces/#{piece.id}/spacing"
    find("summary", text: "Make it from a pattern").click if page.has_no_button?("Place them", wait: 0)
    click_button "Place them"
    expect(page).to have_css(".spot", count: 3)
    at = where(dancers.first)
    spot("Ada").send_keys(:right, :right, :up, "f", "p")
    expect(page).to have_text("Saved.")
    expect(where(dancers.first)).to eq [at[0] + 0.5, at[1] + 0.25, 2, true]
    before = where(dancers.last)
    page.driver.browser.at_css(".spot[aria-label*='Cleo']").then do |node|
      x, y = node.find_position
      page.driver.browser.mouse.move(x:, y:).down.move(x: x + 44, y:).up
    end
    expect(page).to have_css("body") { where(dancers.last) != before }
    expect(where(dancers.last)[0] - before[0]).to be_between(0.7, 1.4)
  end

  it "walks everybody along the counts" do
    visit "/pieces/#{piece.id}/spacing"
    find("summary", text: "Make it from a pattern").click if page.has_no_button?("Place them", wait: 0)
    click_button "Place them"
    expect(page).to have_css(".spot", count: 3)
    visit "/pieces/#{piece.id}/spacing?moment=exit"
    find("summary", text: "Make it from a pattern").click if page.has_no_button?("Place them", wait: 0)
    fill_in "across, m", with: "3"
    click_button "Place them"
    expect(page).to have_css("line.way", minimum: 3)
    stands = -> { spot("Ada")["transform"][/[\d.]+/].to_f }
    arrived = stands.call
    find("input[type=range]").set(0)
    expect(arrived - stands.call).to be_within(2).of(3 * 44)
  end
end
