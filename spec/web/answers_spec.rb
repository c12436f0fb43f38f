# frozen_string_literal: true

require "web_helper"

RSpec.describe "answers", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  def body = last_response.body
  def go(path) = get(path).then { last_response.body }
  def key = body[/name="authenticity_token" value="([^"]+)"/, 1]

  describe "doors" do
    it "locks an account after six wrong passwords, and mails a way back in that works once" do
      director
      6.times { send_form "/sign-in", { "email" => director.account.email, "password" => "wrong" } }
      send_form "/sign-in", { "email" => director.account.email, "password" => Studios::PASSWORD }
      expect([last_response.status, body]).to match([429, /Wait a quarter of an hour/])
      send_form "/forgot", { "email" => director.account.email }
      link = Records::Mail.last.body[%r{/reset/\S+}]
      expect(Records::Mail.last.studio_id).to be_nil
      send_form link, { "password" => "short" }
      expect(last_response.status).to eq 422
      send_form link, { "password" => "another long one" }
      expect(go("/")).to include "Pieces"
      send_form link, { "password" => "yet another long one" }
      expect(last_response.status).to eq 422
    end

    it "lets an invited choreographer in once, and out everywhere at once" do
      person = studio.people.create!(name: "Odalys", teaches: true)
      sign_in director
      send_form "/invitations", { "email" => "od@example.org", "role" => "choreographer", "person" => person.id }
      link = Records::Mail.last.body[%r{/invitation/\S+}]
      clear_cookies
      send_form link, { "name" => "Odalys V", "password" => "long enough words" }
      expect(go("/settings")).to include "Choreographer"
      place = studio.memberships.find_by!(person:)
      expect(place.role).to eq "choreographer"
      place.account.sign_out_everywhere
      get "/"
      expect(last_response.headers["location"]).to end_with "/sign-in"
    end

    it "refuses a form without the session's token, a body that is too large, and a path that is odd" do
      post "/sign-in", { "email" => "x" }
      expect([last_response.status, body]).to match([403, /what you typed is still there/])
      post "/sign-in", "x" * 2_200_000, { "CONTENT_TYPE" => "application/x-www-form-urlencoded" }
      expect([last_response.status, body]).to match([413, /more than 2 MB/])
      sign_in director
      %w[/pieces/0 /pieces/99999999999999999999999 /people/-1 /pieces/1%27].each do |path|
        expect([path, get(path).status]).to eq [path, 404]
      end
      get "/"
      expect(last_response.headers).to include(
        "content-security-policy" => /script-src 'self'/,
        "x-frame-options" => "DENY",
        "cache-control" => "no-store"
      )
    end

    it "keeps the last director, and gives no demo doors in production" do
      sign_in director
      send_form "/leave", {}
      expect(studio.memberships.count).to eq 1
      allow(Settings).to receive(:production?).and_return(true)
      expect(App::Reading::DemoAccounts.all).to be_empty
    end
  end

  describe "bad input" do
    before { sign_in director }

    it "takes a form that is sent twice once" do
      go "/pieces/new"
      form = { "title" => "Twice", "structure" => "A, 2 eights", "authenticity_token" => key }
      2.times { post "/pieces", form }
      expect(last_response.headers["location"]).to match(%r{/pieces/\d+\z})
      expect(studio.pieces.where(title: "Twice").count).to eq 1
    end

    it "says what is wrong with a new piece and keeps all that was typed" do
      send_form "/pieces",
                {
                  "title" => "x" * 200,
                  "show_date" => "31 Feb",
                  "length" => "long",
                  "bpm" => "9000",
                  "structure" => "Smoke, 3 eights\nSmok again"
                }
      expect(last_response.status).to eq 422
      expect(body).to include(
        "A title of 1 to 80 letters",
        "A date like 2027-03-06",
        "A length like 4:28",
        "Beats a minute, from 20 to 400",
        "Did you mean Smoke?",
        "Smok again",
        "x" * 200
      )
    end

    it "adds no rehearsals from odd dates and times, and none twice" do
      room = studio.rooms.create!(name: "Hall", capacity: 20)
      bad = { "start" => "19:00", "end" => "18:00", "single" => "2027-02-30", "rooms" => [room.id] }
      send_form "/rehearsals", bad
      expect([last_response.status, body]).to match([422, /Start and end look like 17:30/])
      good = bad.merge("end" => "20:00", "single" => "2027-02-20, 2027-02-21")
      2.times { send_form "/rehearsals", good }
      expect(studio.rehearsals.count).to eq 2
      expect(go("/rehearsals")).to include "These rehearsals are all there already."
    end

    it "names lines of music that cannot be read, and changes nothing" do
      send_form "/pieces/#{piece.id}/music",
                { "title" => "Winter Piece", "tempo" => "112\nfrom nine: 3", "form" => "verse\nchorus 16" }
      expect([last_response.status, body]).to match([422, /Line 2 \(“from nine: 3”\).*Line 1 \(“verse”\)/m])
      expect(piece.track.reload.tempo).to eq [[1, 120.0]]
    end

    it "brings the order back as it was" do
      send_form "/pieces/#{piece.id}/links/#{piece.links.last.id}/remove", {}
      undo = go("/pieces/#{piece.id}")[%r{action="(/pieces/\d+/revisions/1/restore)"}, 1]
      expect(piece.links.count).to eq 3
      send_form undo, {}
      expect(piece.links.reload.map { |l| [l.section.name, l.mirrored, l.changes_made.keys] }).to eq [
        ["Opening Walk", false, []],
        ["Spiral", false, []],
        ["Opening Walk", true, []],
        ["Spiral", false, ["replace"]]
      ]
    end

    it "keeps what is written on an eight when the lines would shorten its section" do
      piece.sections.first.eights.find_by(position: 4).update!(text: "1 step R")
      send_form "/pieces/#{piece.id}/structure",
                {
                  "structure" => Studios::LINES.sub("4 eights", "3 eights"),
                  "lock_version" => piece.reload.lock_version
                }
      expect([last_response.status, body]).to match([422, /Opening Walk (was|has)/])
      expect(piece.sections.first.eights.count).to eq 4
    end

    it "shows both versions when two people change a section" do
      section = piece.sections.first
      form = {
        "name" => section.name,
        "length" => "4 eights",
        "method_preset" => "drill",
        "fidelity" => "set",
        "difficulty" => "1",
        "lock_version" => section.lock_version
      }
      send_form "/pieces/#{piece.id}/sections/#{section.id}", form.merge("note" => "first")
      send_form "/pieces/#{piece.id}/sections/#{section.id}", form.merge("note" => "second")
      expect([last_response.status, body]).to match([409, /first.*second/m])
      expect(section.reload.note).to eq "first"
    end
  end

  describe "ticks" do
    let(:dancers) { make_cast(piece) }
    let(:item) { "s#{piece.sections.first.id}" }

    before { sign_in director }

    def tick(rung, **more)
      send_json("/pieces/#{piece.id}/ticks", { cells: dancers.map { |d| "#{d.id}:#{item}" }, rung:, **more })
    end

    it "adds a range at once, the same sending only once, and takes one back by another entry" do
      2.times { tick(3, client: "tablet-1") }
      expect(JSON.parse(body)["cells"].map { |c| c["ring"] }).to eq ["r3"] * 3
      expect(piece.ledger_entries.count).to eq 3
      send_json "/pieces/#{piece.id}/ticks/#{piece.ledger_entries.first.id}/undo", {}
      expect(JSON.parse(body)["cells"].first["rung"]).to eq 0
      expect(piece.ledger_entries.pluck(:kind).tally).to eq("danced" => 3, "undone" => 1)
    end

    it "answers nonsense without ticking" do
      tick(9)
      expect([last_response.status, JSON.parse(body)["error"]]).to match([422, /rung/])
      send_json "/pieces/#{piece.id}/ticks", { cells: ["1:s0", "x", nil, { a: 1 }], rung: 3 }
      expect([last_response.status, piece.ledger_entries.count]).to eq [422, 0]
    end

    it "keeps the log: the database refuses to change or delete a line" do
      tick(2)
      line = piece.ledger_entries.first
      [-> { line.update_columns(rung: 5) }, -> { line.delete }].each do |change|
        expect { Records::Base.transaction(requires_new: true) { change.call } }.to raise_error(
          ActiveRecord::StatementInvalid,
          /append-only/
        )
      end
    end

    it "has states that equal their logs, whatever was ticked and taken back" do
      each_case(3) do |random|
        random.rand(5..15).times { random_entry(random) }
        expect(App::Learning::Actions::RebuildStates.new(studio).run).to eq 0
      end
    end

    def random_entry(random)
      if piece.ledger_entries.any? && random.rand < 0.3
        return send_json("/pieces/#{piece.id}/ticks/#{piece.ledger_entries.ids.sample(random:)}/undo", {})
      end

      send_json "/pieces/#{piece.id}/ticks",
                {
                  cells: ["#{dancers.sample(random:).id}:#{item}"],
                  rung: random.rand(1..5),
                  kind: %w[danced taught signed_off].sample(random:)
                }
    end
  end

  describe "plans" do
    let(:now) { studio.local(NOW) }

    it "sees the slots of the studio's other pieces: nobody and no room twice at once" do
      make_season(studio, last: "2027-04-13")
      pieces = [piece, make_piece(studio, director, title: "Other Piece")]
      pieces.each { |each| make_cast(each) }
      pieces.each do |each|
        App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(each, director.account, now).run, NOW).run
      end
      slots = studio.slots.includes(:slot_people).select(&:work?)
      expect(slots.map { |slot| slot.plan.piece_id }.uniq.size).to eq 2
      clashes = slots.combination(2).select do |a, b|
        a.rehearsal_id == b.rehearsal_id && a.start_minute < b.end_minute && b.start_minute < a.end_minute &&
          (a.room_id == b.room_id || a.slot_people.map(&:person_id).intersect?(b.slot_people.map(&:person_id)))
      end
      expect(clashes).to be_empty
    end

    it "says what is short, keeps absent people out, and calls by the plan that was told" do
      make_season(studio, last: "2027-02-09", to: "18:45")
      ada = make_cast(piece).first
      ada.absences.create!(studio:, from_date: "2027-02-02", to_date: "2027-02-02")
      plan = App::Planning::Actions::Make.new(piece, director.account, now).run
      expect(plan.result["reasons"].first).to match(/short/)
      expect(
        plan.slots.select(&:work?)
          .select { |s| s.rehearsal.date == Date.new(2027, 2, 2) && s.slot_people.map(&:person_id).include?(ada.id) }
      ).to be_empty
      sign_in director
      rehearsal = studio.rehearsals.last
      expect(go("/rehearsals/#{rehearsal.id}/call-sheet")).to include "Nothing has been told"
      send_form "/pieces/#{piece.id}/plans/#{plan.id}/publish", { "homes" => "99" }
      expect(go("/rehearsals/#{rehearsal.id}/call-sheet")).to include "Called and released"
    end
  end

  it "delivers the outbox as files, once" do
    mail =
      App::Shared::Post.new(studio).send_out(
        to: "a@example.org",
        template: "invitation",
        studio: "S",
        role: "assistant",
        link: "x"
      )
    2.times { App::Jobs::Deliver.run(mail.id) }
    expect(File.read(File.join(Settings.files_dir, "outbox", "#{mail.id}.eml"))).to include(
      "To: a@example.org",
      "Subject: S invites you"
    )
    expect(mail.reload.delivered_at).to eq NOW
  end

  it "tells a watcher what is not ready" do
    get "/ready"
    expect([last_response.status, JSON.parse(body)]).to eq [
      503,
      { "database" => true, "migrations" => true, "worker" => false, "set_aside" => {} }
    ]
    Records::Heartbeat.beat("worker", NOW)
    expect(get("/ready").status).to eq 200
  end
end
