# frozen_string_literal: true

require "browser_helper"

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
      visit "/sign-in"
      click_button "Ilse Harrow"
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

    describe "the queue on a device" do
      # Says things into a queue whose server answers as told, and gives what was sent and what is left.
      def with_server(answers, said)
        page.evaluate_async_script(<<~JS, answers, said)
          const [answers, said, done] = arguments;
          const sent = [];
          const real = window.fetch;
          localStorage.removeItem("room-said");
          window.fetch = (path, options = {}) => {
            if (path === "/form-token") return Promise.resolve(new Response('{"token":"t"}', { status: 200 }));
            const entries = JSON.parse(options.body).entries.map(each => each.client);
            const told = answers.shift();
            sent.push(entries);
            if (told === "cut") return Promise.reject(new Error("cut"));
            if (typeof told === "number") return Promise.resolve(new Response("{}", { status: told }));
            const all = entries.map(client => ({ client, status: told[client] || "stored", why: "because" }));
            return Promise.resolve(new Response(JSON.stringify({ entries: all }), { status: 200 }));
          };
          const queue = new RoomQueue(77, () => null);
          said.forEach(client => queue.add({ client, kind: "here", at: 1 }));
          (async () => {
            for (let i = 0; i < 5; i += 1) if (await queue.flush()) break;
            window.fetch = real;
            const left = queue.own().map(each => [each.entry.client, each.state]);
            localStorage.removeItem("room-said");
            done(JSON.stringify({ sent, left, status: queue.status }));
          })();
        JS
      end

      def outcome(answers, said) = JSON.parse(with_server(answers, said))

      it "sends in order, some at a time, and again what got no answer" do
        said = Array.new(90) { |i| format("k%03d", i) }
        found = outcome(["cut", {}, 503, {}, {}], said)
        expect(found["sent"].map(&:size)).to eq [40, 40, 40, 40, 10]
        expect(found["sent"].values_at(1, 3, 4).flatten).to eq said
        expect(found["left"].map(&:last).uniq).to eq ["kept"]
      end

      it "keeps what is refused with its reason, and goes on with the rest" do
        found = outcome([{ "b" => "refused", "c" => "duplicate" }], %w[a b c])
        expect(found["left"]).to eq [%w[a kept], %w[b refused], %w[c kept]]
      end

      it "never gives up what is unsent, whether signed out or gone" do
        [[401, "signed-out"], [404, "gone"], [410, "gone"]].each do |code, status|
          found = outcome([code] * 5, %w[a b])
          expect([found["left"], found["status"]]).to eq [[%w[a waiting], %w[b waiting]], status]
        end
      end
    end

    describe "what the caller counts" do
      def plan(**wanted)
        wanted = { from: 1, to: 1, row: 1, speed: 100, loops: 1, rest: 8, countIn: 4, **wanted }
        found = page.evaluate_script(<<~JS, wanted.as_json)
          (() => {
            const score = Object.values(JSON.parse(document.getElementById("evening").textContent).scores)[0];
            const plan = RoomCaller.plan(score, arguments[0]);
            const events = plan.events.map(each => [each.kind, each.at, each.called, each.eight, each.loop, each.cue]);
            return JSON.stringify({ events, seconds: plan.seconds, passes: plan.passes });
          })()
        JS
        JSON.parse(found)
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
