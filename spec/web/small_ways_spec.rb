# frozen_string_literal: true

require "web_helper"

# The small ways of a studio's year: put away and brought back, taken twice, typed wrongly, changed by two at once. What
# was typed stays, what is refused says why, and nothing is half done.
RSpec.describe "small ways", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:path) { "/pieces/#{piece.id}" }

  before { sign_in director }

  def body = last_response.body
  def text(address) = get(address).then { words }
  def words = CGI.unescapeHTML(body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))

  # What a form is answered with, on the page it leads to.
  def told(address, form)
    send_form address, form
    last_response.redirect? ? text(last_response.headers["location"].sub(%r{\Ahttps?://[^/]+}, "")) : words
  end

  def undo
    body[%r{class="undo"[^>]*action="([^"]+)"|action="([^"]+/(?:archive|cancel)\?to=no)"}] &&
      (Regexp.last_match(1) || Regexp.last_match(2))
  end

  describe "rooms and rehearsals" do
    it "says what a room needs, and takes its size from its floor" do
      expect(told("/rooms", { "room" => "Hall", "capacity" => "many" })).to include I18n.t("rehearsals.room_size")
      expect(told("/rooms", { "room" => " ", "capacity" => "9" })).to include I18n.t("rehearsals.room_name")
      send_form "/rooms", { "room" => "Loft", "area" => "50" }
      expect(studio.rooms.pluck(:name, :capacity)).to eq [["Loft", 12]]
    end

    it "puts a room away and brings it back, and cancels a rehearsal and lets it stand again" do
      make_season(studio, last: "2027-02-09")
      room = studio.rooms.first
      rehearsal = studio.rehearsals.first
      room_told = ->(to) { told("/rooms/#{room.id}/archive", { "to" => to }) }
      expect(room_told["yes"]).to include I18n.t("rehearsals.room_gone", name: "Hall")
      expect(room_told["no"]).to include I18n.t("rehearsals.room_back", name: "Hall")
      cancelled = told("/rehearsals/#{rehearsal.id}/cancel", { "to" => "yes" })
      expect(cancelled).to include I18n.t("rehearsals.cancelled", day: "Tue 2 Feb")
      expect([studio.rehearsals.standing.count, undo]).to eq [1, "/rehearsals/#{rehearsal.id}/cancel?to=no"]
      expect([told("/rehearsals/#{rehearsal.id}/cancel", { "to" => "no" }), studio.rehearsals.standing.count]).to match(
        [a_string_including(I18n.t("rehearsals.back", day: "Tue 2 Feb")), 2]
      )
    end

    it "puts a further room into every rehearsal that is ahead, where that is wanted" do
      make_season(studio, first: "2027-01-26", last: "2027-02-09")
      told("/rooms", { "room" => "Loft", "capacity" => "9" })
      told("/rooms", { "room" => "Attic", "capacity" => "9", "everywhere" => "1" })
      rooms = studio.rehearsals.order(:date).map { |rehearsal| rehearsal.rooms.order(:id).map(&:name) }
      expect(rooms).to eq [["Hall"], %w[Hall Attic], %w[Hall Attic]]
    end

    it "refuses more dates than a season has" do
      studio.rooms.create!(name: "Hall", capacity: 20)
      daily = {
        "start" => "18:00",
        "end" => "20:00",
        "days" => %w[0 1 2 3 4 5 6],
        "first" => "2027-01-01",
        "rooms" => studio.rooms.ids
      }
      expect(told("/rehearsals", daily.merge("last" => "2027-12-31"))).to include "At most 200 rehearsals at once."
      expect(told("/rehearsals", daily.merge("last" => "2199-01-01"))).to include "may be two years at the most"
      expect(studio.rehearsals.count).to eq 0
    end
  end

  describe "people" do
    it "shows both when two change one person, keeps a tape that was chosen, and refuses a name twice" do
      person = studio.people.create!(name: "Odile", teaches: true)
      form = { "name" => "Odile", "teaches" => "1", "tape" => "7", "lock_version" => person.lock_version.to_s }
      send_form "/people/#{person.id}", form
      expect(person.reload.tape).to eq 7
      send_form "/people/#{person.id}", form.merge("name" => "Odette")
      expect([last_response.status, person.reload.name]).to eq [409, "Odile"]
      studio.people.create!(name: "Benno")
      expect(
        told("/people/#{person.id}", form.merge("name" => "benno", "lock_version" => person.lock_version.to_s))
      ).to include "There is a benno already"
    end

    it "says which time and how many dates it cannot take" do
      person = studio.people.create!(name: "Guest", teaches: true)
      expect(
        told("/people/#{person.id}/absences", { "from_date" => "2027-02-10", "from" => "half past" })
      ).to include "Times look like 17:30."
      expect(
        told("/people/#{person.id}/absences", { "from_date" => "0099-02-10" })
      ).to include "Give the first day as a date"
      many = Array.new(App::People::Actions::SetVisits::MOST + 1) { |i| (Date.new(2027, 1, 1) + i).iso8601 }.join(" ")
      expect(
        told("/people/#{person.id}/visits", { "dates" => many })
      ).to include "At most #{App::People::Actions::SetVisits::MOST} dates"
      expect([person.absences.count, person.visits.count]).to eq [0, 0]
    end

    it "reads a roster saved by an old spreadsheet" do
      file =
        Tempfile.new(%w[roster .csv])
          .tap { |made| made.binmode.write("Name;Group\nJos\xE9 Vald\xE9s;Scouts\n".b) && made.rewind }
      post "/roster/preview",
           { "piece" => piece.id.to_s, "file" => Rack::Test::UploadedFile.new(file.path, "text/csv") },
           { "HTTP_X_CSRF_TOKEN" => token }
      expect(CGI.unescapeHTML(body)).to include "José Valdés"
      expect(studio.people.dancers.count).to eq 0
    end

    it "keeps a director, and takes others out" do
      other = make_member(studio, "assistant")
      mine = studio.memberships.find_by!(account: director.account)
      expect(told("/memberships/#{mine.id}", { "role" => "assistant" })).to include I18n.t("settings.last_director")
      expect(told("/memberships/#{other.id}", { "role" => "king" })).to include I18n.t("team.which_role")
      send_form "/memberships/#{other.id}", { "role" => "remove" }
      expect(studio.memberships.pluck(:role)).to eq ["director"]
    end
  end

  describe "groups" do
    before { make_cast(piece) }

    it "keeps names apart, and a leader only while they are in it" do
      group = piece.groups.first
      send_form "#{path}/groups", { "name" => "Soloists" }
      expect(told("#{path}/groups", { "name" => "soloISTS" })).to include I18n.t("groups.same_name")
      expect(told("#{path}/groups", { "name" => "  " })).to include I18n.t("groups.name")
      ada = piece.people.find_by!(name: "Ada Test")
      send_form "#{path}/groups/#{group.id}", { "name" => group.name, "leader" => ada.id.to_s }
      expect(group.reload.leader).to eq ada
      send_form "#{path}/cast", { "cast" => { ada.id.to_s => ["", "in"] }, "groups" => [group.id.to_s] }
      expect([group.reload.leader, group.people.count, piece.castings.count]).to eq [nil, 2, 3]
    end
  end

  describe "pieces and sections" do
    it "puts a piece away and brings it back" do
      expect(told("#{path}/archive", { "to" => "yes" })).to include I18n.t("pieces.archived", title: "Winter Piece")
      expect(studio.pieces.running.count).to eq 0
      expect(told("#{path}/archive", { "to" => "no" })).to include I18n.t("pieces.back", title: "Winter Piece")
      expect(studio.pieces.running.count).to eq 1
    end

    it "refuses a section of another's name, or shorter than what is written in it" do
      walk, spiral = piece.sections.to_a
      form = {
        "lock_version" => walk.lock_version.to_s,
        "name" => "spiral",
        "length" => "4",
        "fidelity" => "set",
        "method_preset" => "drill",
        "difficulty" => "1"
      }
      expect(told("#{path}/sections/#{walk.id}", form)).to include I18n.t("sections.same_name")
      walk.eights.find_by!(position: 4).update!(text: "1 step R")
      expect(
        told("#{path}/sections/#{walk.id}", form.merge("name" => "Opening Walk", "length" => "2"))
      ).to include I18n.t("sections.written", eight: 4)
      send_form "#{path}/sections/#{spiral.id}",
                {
                  **form,
                  "lock_version" => spiral.lock_version.to_s,
                  "name" => "Spiral",
                  "length" => "3 + 4",
                  "difficulty" => "9",
                  "entry" => { "facing" => "3" }
                }
      expect([last_response.status, body]).to match([422, /option value="3" selected/])
      expect([walk.reload.eights.size, spiral.reload.difficulty.to_f]).to eq [4, 1.0]
    end

    it "calls steps by the studio's own words, each once" do
      form = { "name" => "bee", "like" => "step", "counts" => "2" }
      send_form "#{path}/names", form
      expect(told("#{path}/names", form.merge("name" => "BEE"))).to include I18n.t("names.taken")
      expect(told("#{path}/names", { "name" => "", "like" => "nothing of the kind", "counts" => "99" })).to include(
        I18n.t("names.name"),
        I18n.t("names.like"),
        I18n.t("names.counts")
      )
      expect(studio.own_steps.pluck(:name, :like, :counts)).to eq [["bee", "step", 2]]
    end

    it "says what music it cannot have, and whom a new cut concerns" do
      facts = { "title" => "Winter Piece", "tempo" => "120" }
      expect(told("#{path}/music", facts.merge("first_count" => "soon"))).to include I18n.t("music.faults.first_count")
      expect(
        told("#{path}/music", facts.merge("form" => Array.new(101) { |i| "part #{i} 8" }.join("\n")))
      ).to include I18n.t("music.faults.form_many", most: 100)
      send_form "#{path}/music", facts.merge("length" => "1:00", "form" => "verse 4 eights\nchorus 32 counts")
      expect(piece.track.reload.form).to eq [["verse", 32], ["chorus", 32]]
      teacher = make_member(studio, "choreographer", person: studio.people.find_by!(name: "Mirela"))
      Records::Mail.where(studio:).delete_all
      expect(
        told("#{path}/music", facts.merge("tempo" => "90", "length" => "1:20", "cut" => "yes"))
      ).to include "The new cut is in, and one choreographer is told."
      expect(Records::Mail.where(studio:).pluck(:recipient)).to eq [teacher.account.email]
    end

    it "hears a tempo through a tap too many" do
      send_json "/taps", { taps: [*(0..9).map { |i| i * 500 }, 4720].sort }
      expect(JSON.parse(body)).to include(
        "bpm" => 120.0,
        "dropped" => 1,
        "text" => a_string_including("1 taps left out")
      )
      send_json "/taps", { taps: [1] }
      expect([last_response.status, JSON.parse(body)]).to eq [422, { "text" => I18n.t("music.tap_more", count: 7) }]
    end
  end

  describe "the plan page before there is a plan" do
    it "says what is missing, one thing after another" do
      bare = make_piece(studio, director, lines: "", title: "Bare")
      expect(text("/pieces/#{bare.id}/plan")).to include(
        "say what the piece is made of",
        "say who is in it",
        "add rehearsals with rooms"
      )
      expect(text("/")).to include I18n.t("decisions.no_links")
      make_cast(piece)
      make_season(studio)
      expect(text("#{path}/plan")).to include("No plan yet", "Make the plan")
      expect(worked_out("#{path}/plan/again")).to include "Make it anew"
    end

    it "notices who is away though called, and shows what is pinned" do
      ada = make_cast(piece).first
      make_season(studio)
      send_form "#{path}/plan", {}
      slot = piece.latest_plan.slots.work.includes(:rehearsal).find { |each| each.kind == "learn" }
      send_form "#{path}/slots/#{slot.id}/pin", { "to" => "yes" }
      ada.absences.create!(studio:, from_date: slot.rehearsal.date, to_date: slot.rehearsal.date)
      expect(text("#{path}/plan")).to include("Ada Test is away on Tue 2 Feb, and called.", "min, pinned")
      expect(body).to include "lesson learn pinned"
      expect(text("/")).to include I18n.t("decisions.draft")
    end

    it "asks what another teacher would change, and hands the section over" do
      make_cast(piece)
      make_season(studio)
      send_form "#{path}/plan", {}
      walk = piece.sections.first
      mirela = studio.people.find_by!(name: "Mirela")
      ask = { "change" => "teacher", "section" => walk.id.to_s, "teacher" => mirela.id.to_s }
      expect(worked_out("#{path}/plan/what-if", ask)).to include("Mirela", "Changes for people")
      take_offer piece, "#{path}/plan/what-if", ask
      expect(
        [
          walk.reload.choreographer,
          piece.reload.latest_plan.slots.work.where(kind: "learn")
            .flat_map { |slot| slot.slot_people.where(role: "teacher").map(&:person_id) }
            .uniq
        ]
      ).to eq [mirela, [mirela.id]]
      expect(send_form("#{path}/plan/what-if", ask.merge("teacher" => "0")).status).to eq 422
    end
  end

  describe "a search that comes too late" do
    it "changes nothing of a plan that somebody has touched meanwhile" do
      make_cast(piece)
      make_season(studio)
      send_form "#{path}/plan", {}
      plan = piece.latest_plan
      plan.update_columns(result: plan.result.merge("cost" => 99_999))
      job = App::Jobs::ImprovePlan.new
      allow(App::Planning::Actions::PlanWithReviews).to receive(:new).and_wrap_original do |made, *given|
        plan.reload.touch && made.call(*given)
      end
      before = plan.slots.order(:id).pluck(:id)
      job.run(studio.id, plan.id)
      expect([plan.reload.slots.order(:id).pluck(:id), plan.search["state"], plan.search["better"]]).to eq [
        before,
        "done",
        false
      ]
      job.run(studio.id, plan.id + 1)
      job.run(0, plan.id)
      expect(plan.reload.slots.count).to eq before.size
    end
  end

  it "counts down to the show, on the day, and after it" do
    piece.update!(show_date: "2027-02-02")
    expect(text(path)).to include "show today"
    piece.update!(show_date: "2027-01-30")
    expect(text(path)).to include "shown 3 days ago"
  end

  it "answers a script that is signed out, or asks for what is not there, in its own words" do
    send_json "#{path}/ticks", { cells: [], rung: 1 }
    get "/pieces/0", {}, { "HTTP_ACCEPT" => "application/json" }
    expect([last_response.status, JSON.parse(body).keys]).to eq [404, ["error"]]
    clear_cookies
    post "#{path}/ticks",
         "{}",
         { "CONTENT_TYPE" => "application/json", "HTTP_ACCEPT" => "application/json", "HTTP_X_CSRF_TOKEN" => token }
    expect([last_response.status, JSON.parse(body)]).to eq [401, { "signed_out" => true }]
  end
end
