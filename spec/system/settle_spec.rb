# frozen_string_literal: true

require "browser_helper"

# What nobody said, answered by one tap where it stands.
RSpec.describe "to settle, in the browser", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director).reload }
  let(:walk) { piece.sections.find_by!(name: "Opening Walk") }
  let(:spiral) { piece.sections.find_by!(name: "Spiral") }
  let(:asked) { "What does “weathervane” do to the feet?" }

  before do
    make_member(studio, "choreographer", name: "Odalys", person: walk.choreographer).then { |member| enter member }
  end

  it "is typed on Steps, asked there and on the join, settled by one tap, remembered and undone" do
    visit "/pieces/#{piece.id}/steps?section=#{walk.id}"
    find_field("Eight 4, what happens").send_keys("step right, left arm up, weathervane")
    expect(page).to have_text("kept as words: “weathervane”")
    expect(page).to have_text("count not set: step right")
    click_button "Save the steps"
    expect(page).to have_text("The steps of Opening Walk are saved.")
    spiral.eights.first.update!(text: "1 step R 2 step L")
    piece.reload.touch
    visit "/pieces/#{piece.id}/joins/1"
    expect(page).to have_text("not known since “weathervane”").and have_text(asked)
    click_button "ends on the left"
    expect(page).to have_text("Settled: ends on the left.").and have_no_text(asked)
    expect(page).to have_text("weight on the left")
    click_button "Undo"
    expect(page).to have_text(asked)
    click_button "see it in the room", match: :first
    expect(page).to have_text("It stands on the call sheet.")
    visit "/"
    expect(page).to have_no_text("weathervane")
  end

  it "takes lines of the order that are clear, and lets the others wait for one tap" do
    enter director
    visit "/pieces/#{piece.id}/structure"
    lines = find("textarea[name=structure]")
    lines.set("#{lines.value}\nPebbles, 4\nboth of us")
    expect(page).to have_text("4 counts, or eights?").and have_text("“both of us”. What is it?")
    click_button "Save the order"
    expect(page).to have_text("The order is saved.")
    expect(piece.sections.reload.map(&:name)).to eq ["Opening Walk", "Spiral"]
    visit "/pieces/#{piece.id}/structure"
    expect(find("textarea[name=structure]").value).to end_with "Pebbles, 4\nboth of us"
    click_button "Pebbles, 4 counts"
    click_button "leave it out"
    expect(find("textarea[name=structure]").value).to end_with "Pebbles, 4 counts"
    click_button "Save the order"
    expect(page).to have_text("The order is saved.")
    expect(piece.sections.reload.find_by!(name: "Pebbles").eights.sum(:counts)).to eq 4
  end
end
