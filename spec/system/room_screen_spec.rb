# frozen_string_literal: true

require "browser_helper"
require_relative "../support/device_scripts"

# The screen of the room itself, with the demo's twenty-six dancers: everything in sight, large enough for a thumb, no
# names beside what is lacking, and the queue and the caller on their own.
RSpec.describe "the room's screen", :browser do
  def go_to_the_room(rehearsal)
    visit "/rehearsals/#{rehearsal.id}/room"
    find(".room-unsent", text: "All sent")
  end

  def panel(name) = find(".room-targets button", text: name).click
  def panels = ["Tick", "Note", "Who’s here", "Next"]

  # Whatever of the page lies outside the window, and whatever is tapped and smaller than 48 pixels.
  def out_of_reach
    found = page.evaluate_script(<<~JS)
      (() => {
        const seen = [...document.querySelectorAll(".room *")].filter(each => each.offsetParent !== null);
        const box = each => each.getBoundingClientRect();
        const name = each => `${each.tagName} ${each.className} ${each.textContent.trim().slice(0, 30)}`;
        const outside = seen.filter(each => box(each).right > innerWidth + 1 || box(each).bottom > innerHeight + 1);
        const tapped = seen.filter(each => each.matches("button, select, a, input"));
        const small = tapped.filter(each => box(each).height < 47.5);
        const cut = seen.filter(each => each.matches("button, h1, h2") && each.scrollHeight > each.clientHeight + 2);
        return JSON.stringify({ outside: outside.map(name), small: small.map(name), cut: cut.map(name) });
      })()
    JS
    JSON.parse(found).transform_values(&:uniq).reject { |_, all| all.empty? }
  end

  describe "with twenty-six dancers" do
    before do
      App::Demo::Builder.new(NOW).run
      App::Shared::Clock.frozen_at = NOW + (65 * 60)
      walk_in "Ilse Harrow"
      go_to_the_room(Records::Studio.find_by!(demo: true).rehearsals.standing.find_by!(date: NOW.to_date))
    end

    it "shows every panel whole, with nothing to scroll and nothing too small" do
      faults = [[1024, 768], [1280, 800]].flat_map do |size|
        page.current_window.resize_to(*size)
        panels.map { |name| [*size, name, looked_at(name)] } + [[*size, "", out_of_reach]]
      end
      find("button.room-summary").click
      faults << ["caller", out_of_reach]
      click_button "Ask them what comes next"
      expect(page).to have_css(".room-asked", text: "?")
      click_button "Show the answer"
      faults << ["ask", out_of_reach]
      find("body").send_keys(:escape)
      find("button.room-summary").click
      click_button "As a run"
      faults << ["run", out_of_reach]
      click_button "Begin the run"
      expect(page).to have_css(".room-field .room-eight", text: /count \d/)
      find(".room-field").click
      click_button "collision"
      faults << ["a spot", out_of_reach]
      click_button "Stopped here"
      faults << ["a stop", out_of_reach]
      click_button "The run has ended"
      expect(faults.reject { |*, found| found.empty? }).to eq []
      expect(serious_faults + violations).to eq []
    end

    def looked_at(name)
      panel(name)
      find(".room-targets [aria-pressed=true]", text: name)
      out_of_reach.tap { panel(name) }
    end

    it "names who has not got it, and whom to ring, only after a tap" do
      panel "Tick"
      rungs = Regexp.union(I18n.t("rungs"))
      expect(all(".room-panel .room-tiles button").map(&:text)).not_to include(match(rungs))
      click_button "Who has it?"
      expect(page).to have_css(".room-panel .room-tiles small", text: rungs)
      find("body").send_keys(:escape)
      expect(page).to have_css("h1").and have_no_css(".room-targets [aria-pressed=true]")
      panel "Who’s here"
      first("button", text: /\Aabsent\z/).click
      click_button "Ada Quill"
      click_button "Who is in the building"
      expect(page).to have_css("h3", text: /Missing: \d+/).and have_no_text(/Ada Quill \d/)
      link = find("a[href^='tel:']", match: :first)
      expect([link.text, link[:href]]).to eq ["0555 010 11", "tel:055501011"]
    end
  end

  describe "on its own" do
    let(:studio) { make_studio }
    let(:director) { make_member(studio, "director") }
    let(:piece) { make_piece(studio, director) }

    before do
      make_cast(piece)
      make_season(studio)
      App::Planning::Actions::Publish.new(
        App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW
      ).run
      enter(director)
      go_to_the_room(studio.rehearsals.order(:date).first)
    end

    describe "what the caller counts" do
      def plan(**wanted)
        wanted = { from: 1, to: 1, row: 1, speed: 100, loops: 1, rest: 8, countIn: 4, **wanted }
        score = page.evaluate_script("document.getElementById('evening').textContent")
        plan = DeviceScripts.run(
          %w[room/caller], "room__caller.Caller.plan(given.score, given.wanted)",
          { score: JSON.parse(score)["scores"].values.first, wanted: }
        )
        plan.merge("events" => plan["events"].map { |each| each.values_at("kind", "at", "called", "eight", "loop") })
      end

      def order = Records::Mapping::Works.load(piece).order
      def counted(found) = found["events"].select { |kind, *| kind == "count" }

      it "goes from any eight of one link to the end of another, at any share of the tempo" do
        links = order.links
        found = plan(from: 2, to: 3, row: 3, speed: 80)
        left_out = links[1].link.danced.first(2).sum { |danced| danced.row.counts }
        counts = counted(found)
        expect(counts.size).to eq links[1].counts - left_out + links[2].counts
        expect(counts.first.values_at(2, 3)).to eq [1, 3]
        from = links[1].start_seconds + beats(links[1], left_out)
        to = links[2].start_seconds + links[2].seconds
        expect(found["seconds"] - counts.first[1]).to be_within(0.002).of((to - from) / 0.8)
      end

      # Seconds of so many counts from a link's start.
      def beats(placed, counts)
        map = Records::Mapping::Works.load(piece).track.map
        map.seconds_at(placed.start_beat + counts) - map.seconds_at(placed.start_beat)
      end

      it "counts in with five, six, seven, eight, and again with as many counts of rest between" do
        found = plan(loops: 3, rest: 12)
        kinds = found["events"].chunk_while { |one, two| one[0] == two[0] }.map { |run| [run[0][0], run.size] }
        length = order.links.first.counts
        expect(kinds).to eq([["lead", 4], ["count", length], ["lead", 12], ["count", length], ["lead", 12],
                             ["count", length]])
        expect(found["events"].first(4).map { |each| each[2] }).to eq [5, 6, 7, 8]
        expect(found["events"].map { |each| each[1] }).to eq(found["events"].map { |each| each[1] }.sort)
        expect(found["passes"].size).to eq 3
        expect(found["passes"].last).to eq found["seconds"]
      end

      it "has every count of the piece once, whatever is left out before and after" do
        all = (1..order.links.size).flat_map { |index| counted(plan(from: index, to: index)).map { |each| each[2] } }
        expect(all.size).to eq order.total_counts
        expect(counted(plan(from: 1, to: order.links.size)).map { |each| each[2] }).to eq all
      end
    end
  end
end
