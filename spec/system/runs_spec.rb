# frozen_string_literal: true

require "browser_helper"
require "support/relay"
require "support/run_world"

# A run in the browser of a tablet, with taps while there is no network; what it comes to; a drill, the notes round, and
# the film of it on the counts.
RSpec.describe "runs", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director", name: "Ilse") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rehearsal) { studio.rehearsals.order(:date).second }
  let(:slot) { rehearsal.slots.order(:start_minute).find(&:work?) }
  let(:relay) { Relay.new(page.server.port) }

  before do
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
    piece.track.update!(tempo: [[1, 300]])
    minute = slot.start_minute + 2
    App::Shared::Clock.frozen_at = rehearsal.date.to_time(:utc).change(hour: minute / 60, min: minute % 60)
  end

  def over_the_relay
    page.server.boot
    Capybara.app_host = "http://127.0.0.1:#{relay.port}"
    page.current_window.resize_to(1024, 768)
    enter(director)
    visit "/rehearsals/#{rehearsal.id}/room"
    expect(page).to have_css(".room-targets")
    yield
  ensure
    Capybara.app_host = nil
    relay.close
  end

  def begin_run(kind)
    find(".room-summary").click
    click_button "As a run"
    click_button kind
    click_button "Begin the run"
    expect(page).to have_css(".room-field .room-eight", text: /eight \d+, count \d/)
  end

  def field = find(".room-field")
  def all_sent = expect(page).to(have_css(".room-unsent", text: "All sent", wait: 20))

  it "marks trouble with a tap and with a key while the network is cut, and sends all of it once" do
    over_the_relay do
      begin_run "stumble-through"
      all_sent
      relay.cut
      field.click
      within(".room-spot") do
        click_button "late entry"
        click_button piece.groups.first.name
        click_button "everyone"
      end
      page.driver.browser.keyboard.type("t")
      expect(page).to have_css(".room-spot button", text: /count \d/, minimum: 2)
      click_button "Stopped here"
      click_button "Go on from there"
      expect(page).to have_button("Stopped here")
      click_button "The run has ended"
      expect(page).to have_css(".room-unsent", text: "unsent since").and have_button("Begin the run")
      expect(piece.troubles.count).to eq 0
      relay.restore
      all_sent
      run = piece.runs.first
      steps = run.run_steps.in_order.pluck(:kind)
      expect([run.kind, steps, piece.runs.count]).to eq ["stumble", %w[stop go end], 1]
      said = run.troubles.order(:said_at).map { |one| [one.kind, one.everyone] }
      expect(said).to eq [["late", true], [nil, false]]
    end
  end

  it "goes on with a run after a reload, and takes back what was tapped by mistake" do
    over_the_relay do
      begin_run "marked"
      field.click
      expect(page).to have_css(".room-told", text: "Spot at")
      click_button "Undo"
      expect(page).to have_no_css(".room-spot")
      all_sent
      visit page.current_path
      find(".room-targets button", text: "Go").click
      expect(page).to have_button("Go on from there")
      click_button "The run has ended"
      all_sent
      expect(piece.runs.first.troubles.standing.count).to eq 0
    end
  end

  describe "afterwards" do
    let!(:run) { RunWorld.make_run(studio, piece, rehearsal:) }

    before do
      entering = piece.links.to_a.second
      RunWorld.make_trouble(run, key: "a", link: entering, row: 1, count: 2, kind: "late", everyone: true)
      RunWorld.make_trouble(run, key: "b", row: 2, count: 4, kind: "forgot")
      enter(director)
    end

    it "shows where it goes wrong, puts a drill into the next rehearsal, and gives the notes" do
      visit "/pieces/#{piece.id}/runs"
      expect(page).to have_css("svg.runs-strips .runs-mark", count: 2).and have_text("Most trouble")
      within("#drills") { first("button", text: "Into the next rehearsal").click }
      expect(page).to have_css("h2", text: "To be drilled").and have_css("[role=status], .flash", text: /minutes/)
      expect(piece.drills.count).to eq 1
      click_link "Notes round"
      fill_in "The note", with: "hold the pose to the end"
      select "1 #{piece.sections.first.name}", from: "Link"
      click_button "Keep the note"
      expect(page).to have_text("1 note to give")
      click_button "Given: hold the pose to the end"
      expect(page).to have_css("h2", text: "Given, not settled").and have_text("0 notes to give")
      visit "/pieces/#{piece.id}/runs/#{run.id}"
      click_link "notes round"
      first("button", text: "Note it").click
      expect(page).to have_text("1 note to give")
    end

    it "refuses a clip that is no video, is too large, or shows a minor without a yes, and says so" do
      studio.update!(settings: studio.settings.merge("clips" => true))
      RunWorld.make_consent(studio, dancers.first)
      visit "/pieces/#{piece.id}/clips"
      attach_file "The clip", File.join(HOUSE, "README.md")
      click_button "Add the clip"
      expect(page).to have_text("This is no video")
      check "Bram Test no yes"
      attach_file "The clip", RunWorld::CLIP
      click_button "Add the clip"
      expect(page).to have_text("No guardian’s yes for Bram Test: the clip was not kept.")
      Tempfile.create(["long", ".webm"]) do |file|
        file.truncate(201 * 1024 * 1024)
        attach_file "The clip", file.path
        expect(page).to have_text("This file has 201 MB; it may have 200.")
        expect(find_field("The clip").value).to eq ""
      end
      expect(piece.uploads.clips).to be_empty
      expect(serious_faults).to eq []
    end

    it "takes in a film of it, lays it on the counts with one tap, and opens it at a spot" do
      studio.update!(settings: studio.settings.merge("clips" => true))
      dancers.first(3).each { |person| RunWorld.make_consent(studio, person) }
      visit "/pieces/#{piece.id}/clips"
      expect(page).to have_text("No guardian’s yes yet for Dov Test.").and have_unchecked_field("Dov Test no yes")
      attach_file "The clip", RunWorld::CLIP
      click_button "Add the clip"
      expect(page).to have_css("video").and have_text("Not laid on the counts yet")
      page.execute_script("document.querySelector('video').currentTime = 2")
      expect(page).to have_css(".lead", text: "0:02")
      click_button "Count 1 now"
      expect(page).to have_css("h2", text: "Trouble spots")
      expect(piece.uploads.clips.last.marks.first["second"]).to be_within(0.3).of(2.0)
      visit "/pieces/#{piece.id}/runs/#{run.id}"
      first("a", text: "see it").click
      wanted = page.current_url[/second=([\d.]+)/, 1].to_f
      expect(page).to have_css("video")
      seen = page.evaluate_async_script(<<~JS)
        const done = arguments[0], video = document.querySelector("video");
        setInterval(() => video.currentTime > 0 && done(video.currentTime), 50);
      JS
      expect(seen).to be_within(0.2).of(wanted)
    end
  end
end
