# frozen_string_literal: true

require "browser_helper"
require "support/run_world"

# What goes between the studio, a dancer and a guardian, in the browser: links made and taken back, a question answered,
# a note that a minor reads only where the studio says so, a yes to clips, and erasing.
RSpec.describe "between studio and home", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director", name: "Ilse") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram]) }
  let(:ada) { dancers.first }

  # The address that is shown once.
  def made(title)
    click_button "#{title}: make a link"
    find("code").text[%r{/my/\S+}]
  end

  it "gives a dancer and a guardian a link each, and takes one back without the other" do
    enter(director)
    visit "/people/#{ada.id}"
    own = made("Private link")
    guardian = made("Guardian’s link")
    expect(own).not_to eq guardian
    visit own
    expect(page).to have_text("What to learn next").and have_no_button("Is away then")
    visit guardian
    expect(page).to have_text("What was written to Ada").and have_button("Is away then")
    visit "/people/#{ada.id}"
    click_button "Revoke: Private link"
    expect(page).to have_button("Private link: make a link").and have_button("Guardian’s link: new link")
    visit guardian
    expect(page).to have_button("Is away then")
    visit own
    expect(page).to have_no_text("What to learn next")
  end

  it "answers a dancer's question from Home, and shows the answer to child and guardian" do
    own = "/my/#{ada.person_links.issue(studio_id: studio.id).last}"
    visit "#{own}/links/#{piece.links.first.id}"
    fill_in "A question to whoever teaches it", with: "do I look up?"
    click_button "Ask"
    expect(page).to have_text("the answer comes here")
    enter(director)
    visit "/"
    click_link "A dancer asks something"
    fill_in "Answer Ada", with: "only on the last eight"
    click_button "Answer: do I look up?"
    expect(page).to have_no_field("Answer Ada")
    visit "/"
    expect(page).to have_no_link("A dancer asks something")
    visit "#{own}/links/#{piece.links.first.id}"
    expect(page).to have_text("Ilse: only on the last eight")
    visit "/my/#{ada.person_links.issue(studio_id: studio.id, kind: 'guardian').last}"
    expect(page).to have_text("only on the last eight")
  end

  it "shows a note to a minor to the guardian, and to the child only where the studio says so" do
    own, guardian = %w[dancer guardian].map { |kind| "/my/#{ada.person_links.issue(studio_id: studio.id, kind:).last}" }
    enter(director)
    visit "/pieces/#{piece.id}/notes"
    fill_in "The note", with: "lovely, quiet landings"
    select "Ada Test", from: "For"
    select "praise", from: "Kind"
    click_button "Keep the note"
    click_button "Given: lovely, quiet landings"
    expect(page).to have_no_button("Given: lovely, quiet landings")
    visit guardian
    expect(page).to have_text("lovely, quiet landings")
    visit own
    expect(page).to have_no_text("lovely, quiet landings")
    visit "/settings"
    select "yes", from: "Minors read notes to them on their own page too, not only their guardians"
    click_button "Save", match: :first
    expect(page).to have_text("Settings saved.")
    visit own
    expect(page).to have_text("lovely, quiet landings")
  end

  it "keeps a guardian's yes, and hides a clip at once when it is taken back" do
    make_season(studio)
    studio.update!(settings: { "clips" => true })
    clip = RunWorld.make_clip(RunWorld.make_run(studio, piece), [ada])
    enter(director)
    visit "/pieces/#{piece.id}/clips"
    expect(page).to have_text("Not shown: no yes (any more) for Ada Test.")
    find("#consents li", text: "Ada Test").find("summary").click
    within(find("#consents li", text: "Ada Test")) { fill_in "Guardian", with: "R. Quill" }
    click_button "They said yes: Ada Test"
    expect(page).to have_text("Kept: a yes for Ada Test.").and have_no_text("Not shown")
    visit "/pieces/#{piece.id}/clips/#{clip.id}"
    expect(page).to have_css("video")
    visit "/pieces/#{piece.id}/clips"
    find("#consents details", text: "One guardian said yes").find("summary").click
    click_button "Withdrawn: Ada Test"
    expect(page).to have_text("The yes for Ada Test is withdrawn")
    visit "/pieces/#{piece.id}/clips/#{clip.id}"
    expect(page).to have_no_css("video").and have_text("Not shown: no yes (any more) for Ada Test.")
    click_button "Take the clip away for good"
    expect(page).to have_text("The clip is gone.").and have_text("No clip yet.")
  end

  it "says what is kept, and erases after the name was typed" do
    enter(director)
    visit "/people/#{ada.id}"
    click_link "What is kept about Ada, and why"
    expect(page).to have_text("So that people can be called")
    fill_in "The name, as it stands", with: "Ada"
    click_button "Erase Ada Test"
    expect(page).to have_text("Type the name as it stands to erase it.")
    fill_in "The name, as it stands", with: "Ada Test"
    click_button "Erase Ada Test"
    expect(page).to have_text("Erased. What was left unticked")
    visit "/people"
    expect(page).to have_text("Bram Test").and have_no_text("Ada")
    expect(serious_faults + violations).to eq []
  end
end
