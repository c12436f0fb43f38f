# frozen_string_literal: true

require "browser_helper"

# What was typed outlives a server that does not answer, and goes only when a page says it was saved.
RSpec.describe "drafts", :browser do
  let(:studio) { make_studio("Fernhill Dance") }
  let(:director) { make_member(studio, "director", name: "Wanda Birch") }
  let(:piece) { make_piece(studio, director) }
  let(:steps) { "/pieces/#{piece.id}/steps?section=#{piece.sections.first.id}" }

  before { enter director }

  # The network is cut for whatever is sent; pages can still be read.
  def while_dead
    browser = page.driver.browser
    browser.network.intercept
    dead = true
    browser.on(:request) { |request| dead && request.method == "POST" ? request.abort : request.continue }
    yield
    dead = false
  end

  # What is typed is drawn by an answer of the server, which moves what lies below it: a click before would miss.
  def drawn(move) = expect(page).to have_css("svg.eight-picture text.move", text: move)

  def first_eight = find_field("Eight 1, what happens")

  it "of Steps stay when the answer never comes, and go with the page that confirms" do
    visit steps
    while_dead do
      first_eight.fill_in(with: "1 step R 3 clap")
      click_button "Save the steps"
      expect(page).to have_no_text("Winter Piece")
    end
    visit steps
    expect(page).to have_text("What you typed before is back")
    expect(first_eight.value).to eq "1 step R 3 clap"
    drawn "clap"
    click_button "Save the steps"
    expect(page).to have_css(".notice", text: "saved")
    visit steps
    expect(first_eight.value).to eq "1 step R 3 clap"
    expect(page).to have_no_text("What you typed before is back")
  end

  it "of Steps are offered when somebody saved another version meanwhile" do
    visit steps
    first_eight.fill_in(with: "1 clap")
    section = piece.sections.first
    section.eights.first.update!(text: "1 step L")
    section.touch
    visit steps
    expect(first_eight.value).to eq "1 step L"
    click_button "Put mine in"
    expect(first_eight.value).to eq "1 clap"
    click_button "Show what is saved"
    expect(page).to have_no_text("What you typed before")
  end

  it "of a new piece stay whole, and go once it is there" do
    visit "/pieces/new"
    while_dead do
      fill_in "Title", with: "Lantern Walk"
      fill_in "structure", with: "Gate, 4 eights, Odalys"
      click_button "Create the piece"
      expect(page).to have_no_text("New piece")
    end
    visit "/pieces/new"
    expect(find_field("Title").value).to eq "Lantern Walk"
    expect(find_field("structure").value).to eq "Gate, 4 eights, Odalys"
    click_button "Create the piece"
    expect(page).to have_text("Lantern Walk is there")
    visit "/pieces/new"
    expect(find_field("Title").value).to eq ""
  end
end
