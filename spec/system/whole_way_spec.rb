# frozen_string_literal: true

require "browser_helper"

# From an empty studio to a call sheet, as a director would go.
RSpec.describe "the whole way", :browser do
  def begin_studio
    visit "/begin"
    fill_in "Name of the studio or company", with: "Fernhill Dance"
    fill_in "Your name", with: "Wanda Birch"
    fill_in "Your e-mail", with: "wanda@fernhill.example"
    fill_in "A password", with: Studios::PASSWORD
    click_button "Create the studio"
  end

  def type(field, *lines)
    field.send_keys(*lines.flat_map { |line| [line, :enter] }[0..-2])
  end

  def describe_piece
    click_link "Say what it is made of"
    fill_in "Title", with: "Tidewater"
    fill_in "Show date", with: Date.new(2027, 4, 10)
    fill_in "Music length", with: "2:10"
    fill_in "Beats a minute", with: "120"
    lines = find_field("The piece, a line for each link")
    type lines, "Ebb, 6 eights, Odalys", "Flood, 8 eights + 4, Mirela", "Ebb again, other side", "Floood again"
    expect(page).to have_text("Floood has not come before. Did you mean Flood?")
    expect(page).to have_css(".newcomers", text: "Odalys").and have_css(".newcomers", text: "Mirela")
    lines.send_keys(*Array.new(12, :backspace), "Flood again, with changes in 8")
    expect(page).to have_text("4 links from 2 sections · 232 counts (29 eights) · 1:56 · 15½ eights to teach")
    expect(page).to have_text("The music goes on for 0:14.0 after the last count.")
    click_button "They all teach"
    expect(page).to have_css(".newcomers input:checked", count: 2)
    click_button "Create the piece"
  end

  def take_in_roster
    click_link "Cast and groups"
    click_link "roster", match: :first
    fill_in "Paste the list",
            with: "Name;Group;Leader\nAda Reed;Gulls;yes\nBram Moss;Gulls\n;Terns\nCleo Pike;Terns\nAda Reed;Terns"
    click_button "Preview"
    expect(page).to have_text("3 dancers understood").and have_text("Line 4: no name").and have_text(
      "Line 6: Ada Reed stands here a second time"
    )
    click_button "Import 3 dancers"
    expect(page).to have_text("3 dancers imported, 2 lines left out, 3 cast in Tidewater.")
  end

  def add_rehearsals
    within("nav[aria-label=Screens]") { click_link "Rehearsals" }
    fill_in "Room", with: "Hall"
    fill_in "Holds", with: "20"
    fill_in "Start", with: "18:00"
    fill_in "End", with: "20:00"
    check "Tue"
    fill_in "From", with: Date.new(2027, 2, 2)
    fill_in "To", with: Date.new(2027, 3, 30)
    click_button "Add rehearsals"
    expect(page).to have_text("9 rehearsals added.").and have_text("Hall")
  end

  def tick_somebody
    click_link "Who has it"
    cell = find("tr", text: "Ada Reed").all("td[data-i]")[1]
    cell.click
    cell.send_keys("4")
    expect(page).to have_css("tr[data-p] td.r4.learned", minimum: 1)
    expect(page).to have_text("danced: with music")
    within("aside") { click_button "Take back" }
    expect(page).to have_text("Taken back")
    expect(page).to have_no_css("td.r4")
  end

  def plan_and_tell
    click_link "Plan"
    click_button "Make the plan"
    expect(page).to have_text("This plan is a draft").and have_text("5 of 5")
    expect(page).to have_css("svg.build rect.run", count: 5)
    click_button "Tell everybody"
    expect(page).to have_text("Everybody's calls now follow this plan.")
  end

  it "leads from an empty studio to a call sheet and a dancer's own page" do
    begin_studio
    describe_piece
    expect(page).to have_css("svg.spine-chain", text: "Ebb")
    take_in_roster
    add_rehearsals
    click_link "Home"
    click_link "Tidewater"
    tick_somebody
    plan_and_tell
    click_link "Calls"
    click_link "Tue 2 Feb"
    expect(page).to have_css("tr", text: /18:00 – 18:15\s+Warm-up/).and have_text("Learn Ebb").and have_text(
      "Ada Reed, Bram Moss, Cleo Pike"
    )
    expect(find_link("PDF")[:href]).to end_with "/call-sheet.pdf"
    ada = Records::Person.find_by!(name: "Ada Reed")
    visit "/people/#{ada.id}"
    click_button "Private link: make a link"
    visit URI(find("code").text).path
    expect(page).to have_text("Tue 2 Feb, 18:00").and have_text("What to learn next").and have_text("Ebb into Flood")
  end

  it "shows the later of two editors both versions, and loses neither" do
    studio = make_studio
    director = make_member(studio, "director")
    piece = make_piece(studio, director)
    enter director
    visit "/pieces/#{piece.id}/structure"
    lines = find_field("The piece, a line for each link")
    App::Piece::Actions::ArrangeLinks.new(Records::Piece.find(piece.id), director.account).remove(piece.links.last)
    lines.send_keys(%i[control end], :enter, "Coda, 2 eights, Odalys")
    click_button "Save the order"
    expect(page).to have_text("Somebody else changed this piece while you were typing")
    expect(page).to have_css(".diff .yours", text: "Coda").and have_css(
      ".diff .yours",
      text: "Spiral, again, with changes in 2"
    )
    expect(find_field("The piece, a line for each link").value).to include("Coda, 2 eights")
    click_button "Save the order"
    expect(page).to have_text("The order is saved.")
    expect(piece.links.reload.map { |l| l.section.name }).to eq [
      "Opening Walk",
      "Spiral",
      "Opening Walk",
      "Spiral",
      "Coda"
    ]
  end
end
