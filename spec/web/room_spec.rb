# frozen_string_literal: true

require "web_helper"

# What devices send from the room: each entry once, in order, answered for; what it does to the register, the log and
# the evening; and the page that confirms it.
RSpec.describe "the room", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }
  let(:lesson) { work.find(&:lesson?) }
  let(:section) { studio.sections.find(lesson.section_ids.first) }

  before do
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, local).run, NOW).run
    sign_in director
  end

  def item = "s#{section.id}"
  def local = studio.local(NOW)
  def work = rehearsal.slots.order(:start_minute).select(&:work?)
  def key(name) = name.to_s.rjust(12, "0")

  def entry(kind, client, minute: 1085, **more)
    { client: key(client), kind:, at: (NOW.to_f * 1000).to_i, minute:, slot: lesson.id, **more }
  end

  def send_entries(*entries)
    send_json "/rehearsals/#{rehearsal.id}/entries", { entries: }
    JSON.parse(last_response.body)["entries"].map { |each| each["status"] }
  end

  def here(person, state, client, **more) = entry("here", client, person: person.id.to_s, state:, **more)
  def facts = JSON.parse(get("/rehearsals/#{rehearsal.id}/evening").body)
  def rung(person) = App::Reading::PieceSnapshots.of(piece.reload).progress.rung(person.id, item)
  def states = rehearsal.attendances.order(:person_id).pluck(:person_id, :state).to_h

  it "takes each entry once, in order, however often it is sent, and says of each what became of it" do
    sent = [here(dancers[0], "present", 1), here(dancers[1], "late", 2),
            entry("tick", 3, cells: "#{dancers[0].id}:#{item}", rung: "3"), entry("juggle", 4),
            entry("note", 5, note: "promise", about: "section", text: "the lift", section: section.id)]
    expect(send_entries(*sent)).to eq(%w[stored stored stored refused stored])
    expect(JSON.parse(last_response.body)["entries"][3]["why"]).to include "not something the room sends"
    expect(send_entries(*sent)).to eq(%w[duplicate duplicate duplicate refused duplicate])
    expect([studio.attendance_entries.count, studio.notes.count, rung(dancers[0])]).to eq([2, 1, 3])
    expect(facts["notes"].map { |note| note["text"] }).to eq(["the lift"])
  end

  it "takes nothing back that was said at another rehearsal" do
    where = { link: piece.links.order(:position).first.id, row: 1, twelfths: 0 }
    said = [here(dancers[0], "present", 1), entry("step", 2, step: "begin"), entry("pass", 3, from: 1, to: 1, row: 1),
            entry("run", 4, run_kind: "marked", to: piece.links.order(:position).last.id, **where),
            entry("run_step", 5, run: key(4), step: "stop", **where),
            entry("trouble", 6, run: key(4), name: "here", **where),
            entry("note", 7, note: "promise", about: "piece", text: "again")]
    expect(send_entries(*said).uniq).to eq ["stored"]
    other = studio.rehearsals.order(:date).second
    other.update!(date: rehearsal.date - 1)
    back = said.map.with_index { |one, i| entry("undo", 20 + i, of: one[:client], was: one[:kind]) }
    send_json "/rehearsals/#{other.id}/entries", { entries: back }
    expect(JSON.parse(last_response.body)["entries"].map { |each| each["status"] }.uniq).to eq ["refused"]
    expect([states.values, facts["passes"].values, facts["run"]["client"]]).to eq [["present"], [1], key(4)]
  end

  it "sends a newcomer home who was added by mistake: archived, in no piece and no group any more" do
    group = piece.groups.first || piece.groups.create!(studio_id: studio.id, name: "Birds", number: 1)
    expect(send_entries(entry("newcomer", 1, name: "New One", group: group.id.to_s))).to eq ["stored"]
    newly = studio.people.find_by!(name: "New One")
    expect([piece.castings.exists?(person: newly), group.group_members.exists?(person: newly)]).to eq [true, true]
    expect(send_entries(entry("undo", 2, of: key(1), was: "newcomer"))).to eq ["stored"]
    expect([piece.castings.exists?(person: newly), group.group_members.exists?(person: newly)]).to eq [false, false]
    expect(newly.reload.archived_at).to be_present
  end

  it "takes back the ticks of one key, and none of a key that begins like it" do
    both = %w[tick00000001 tick000000012].each_with_index.map do |client, i|
      entry("tick", 1, cells: "#{dancers[i].id}:#{item}", rung: "3").merge(client:)
    end
    expect(send_entries(*both)).to eq %w[stored stored]
    expect(send_entries(entry("undo", 9, of: "tick00000001", was: "tick"))).to eq ["stored"]
    expect(dancers.first(2).map { |person| rung(person) }).to eq [0, 3]
  end

  it "takes in what a device kept for a week, nothing of a rehearsal to come, and sixty things at once" do
    { 7 => "stored", 8 => "refused", 0 => "stored", -1 => "refused" }.each_with_index do |(days, status), i|
      rehearsal.update_columns(date: local.to_date - days)
      expect(send_entries(here(dancers[0], "present", 40 + i))).to eq([status]), "#{days} days ago"
    end
    rehearsal.update_columns(date: local.to_date)
    many = Array.new(61) { |i| here(dancers[i % 4], "present", 100 + i) }
    expect(send_entries(*many).size).to eq 60
  end

  it "tells the room who was named to step in for whom" do
    piece.understudies.create!(studio_id: studio.id, person_id: dancers[2].id, covers_person_id: dancers[0].id,
                               created_at: NOW)
    said = facts["people"].to_h { |each| [each["id"], each["understudies"]] }
    expect(said).to include(dancers[0].id => "Cleo", dancers[2].id => "")
  end

  it "goes by what was said last, whichever tablet sends it first, and undoes what is named" do
    late = { at: (NOW.to_f * 1000).to_i - 60_000 }
    send_entries(here(dancers[0], "present", 1))
    send_entries(here(dancers[0], "absent", 2, **late))
    expect(states).to eq(dancers[0].id => "present")
    send_entries(entry("undo", 3, of: key(1), was: "here"))
    expect(states).to eq(dancers[0].id => "absent")
    send_entries(entry("undo", 4, of: key(2), was: "here"))
    expect(states).to eq({})
    expect(studio.attendance_entries.count).to eq 4
  end

  it "lets latecomers warm up first, and says when they are ready" do
    send_entries(here(dancers[0], "late", 1, minute: 1090))
    warm_up = rehearsal.slots.find_by(kind: "warm_up").minutes
    expect(facts["here"][dancers[0].id.to_s]).to eq(["late", 1090, 1090 + warm_up])
  end

  it "counts a pass as danced for whoever was there, and never as having it" do
    dancers.first(2).each_with_index { |person, i| send_entries(here(person, %w[present resting][i], i)) }
    send_entries(here(dancers[2], "marking", 7))
    links = { from: lesson.from_link || 1, to: lesson.from_link || 1, row: 1, speed: 100 }
    expect(send_entries(entry("pass", 8, minute: 1100, **links))).to eq ["stored"]
    cells = App::Reading::PieceSnapshots.of(piece.reload).progress
    danced = dancers.map { |person| cells.cell(person.id, item) }
    expect(danced.map(&:rung)).to all(eq(0))
    expect(danced.map { |cell| [cell.last_danced_on, cell.days] })
      .to eq([[NOW.to_date, 1], [nil, 0], [NOW.to_date, 0], [nil, 0]])
    expect(send_entries(entry("undo", 9, of: key(8), was: "pass"))).to eq ["stored"]
    expect(App::Reading::PieceSnapshots.of(piece.reload).progress.cell(dancers[0].id, item).last_danced_on).to be_nil
    expect(App::Learning::Actions::RebuildStates.new(studio).run).to eq 0
  end

  it "adds a newcomer on the spot, whom later entries name by their key, and a guest only by name" do
    newcomer = "c:#{key(1)}"
    sent = [entry("newcomer", 1, name: "Quill Newly", group: piece.groups.first.id), here_as(newcomer, 2),
            entry("tick", 3, cells: "#{newcomer}:#{item}", rung: "2"),
            entry("here", 4, guest: "Visiting Uncle", state: "present")]
    expect(send_entries(*sent)).to all(eq("stored"))
    person = studio.people.find_by!(name: "Quill Newly")
    expect([piece.people.exists?(person.id), person.groups.to_a, rung(person)]).to eq([true, [piece.groups.first], 2])
    expect(facts["guests"]).to eq("Visiting Uncle" => "present")
    expect(studio.people.where(name: "Visiting Uncle")).to be_empty
  end

  def here_as(person, client) = entry("here", client, person:, state: "present")

  it "moves the evening: begun late, what falls off the end, and what would make it fit" do
    send_entries(entry("step", 1, step: "begin", minute: lesson.start_minute + 12))
    lines = facts["lines"].to_h { |slot, start, *| [slot, start] }
    expect(lines[lesson.id]).to eq lesson.start_minute + 12
    following = work[work.index(lesson) + 1]
    expect(send_entries(entry("step", 2, step: "drop", slot: following.id))).to eq ["stored"]
    expect(facts["lines"].find { |slot, *| slot == following.id }[3]).to eq "dropped"
    expect(send_entries(entry("step", 3, step: "shorten", slot: lesson.id, minutes: 0))).to eq ["refused"]
    expect(send_entries(entry("undo", 4, of: key(2), was: "step"))).to eq ["stored"]
    expect(facts["lines"].find { |slot, *| slot == following.id }[3]).to eq "ahead"
  end

  it "keeps nothing before its day, nothing of another studio, and nothing without a key" do
    other = make_member(make_studio, "director")
    App::Shared::Clock.frozen_at = NOW - 86_400
    expect(send_entries(here(dancers[0], "present", 1))).to eq ["refused"]
    App::Shared::Clock.frozen_at = NOW
    expect(send_entries(here(dancers[0], "present", 1).merge(client: "short"))).to eq ["refused"]
    sign_in other
    get "/rehearsals/#{rehearsal.id}/evening"
    expect(last_response.status).to eq 404
    sign_in director
    strange = other.studio.people.create!(name: "Stranger")
    expect(send_entries(here(strange, "present", 3))).to eq ["refused"]
    expect(studio.attendance_entries.count).to eq 0
  end

  it "asks whoever is signed out to sign in, and keeps out of every other answer's way" do
    clear_cookies
    get "/form-token", {}, { "HTTP_ACCEPT" => "application/json" }
    expect(last_response.status).to eq 401
  end

  it "parks promises and questions until somebody says they are done, and parks them again" do
    send_entries(entry("note", 1, note: "question", about: "piece", text: "left or right?"),
                 entry("note", 2, note: "praise", about: "person", person: dancers[0].id.to_s, text: "sharp"))
    expect(facts["notes"].map { |note| note["key"] }).to eq [key(1)]
    expect(send_entries(entry("answer", 3, of: key(1)), entry("answer", 4, of: key(99)))).to eq %w[stored refused]
    expect(facts["notes"]).to eq []
    send_entries(entry("undo", 5, of: key(3), was: "answer", note: key(1)))
    expect(facts["notes"].map { |note| note["text"] }).to eq ["left or right?"]
    send_entries(entry("undo", 6, of: key(1), was: "note"))
    expect(facts["notes"]).to eq []
    about = studio.notes.find_by!(client_id: key(2))
    expect([about.about, about.person_id, about.by_name]).to eq ["person", dancers[0].id, director.account.name]
  end

  it "says of each entry that it cannot keep why, in a sentence, and keeps the others" do
    wrong = {
      entry("here", 1, person: dancers[0].id.to_s, state: "asleep") => "nothing that can be said of somebody",
      entry("here", 2, person: dancers[0].id.to_s, state: "present", minute: 2000) => "The time of it is missing",
      entry("here", 3, person: "999999", state: "present") => "not in the studio any more",
      entry("step", 4, step: "begin", slot: 999_999) => "a newer plan was told",
      entry("step", 5, step: "swap", with: 999_999) => "a newer plan was told",
      entry("pass", 6, from: 3, to: 2, speed: 100) => "not in the piece any more",
      entry("tick", 7, cells: "999999:#{item}", rung: "3") => "None of these",
      entry("note", 8, note: "fix", about: "piece", text: " ") => "can't be blank",
      entry("undo", 9, of: key(77), was: "here") => "was not found"
    }
    right = here(dancers[1], "present", 10)
    send_json "/rehearsals/#{rehearsal.id}/entries", { entries: [*wrong.keys, right] }
    answers = JSON.parse(last_response.body)["entries"]
    expect(answers.map { |each| each["status"] }).to eq([*["refused"] * wrong.size, "stored"])
    answers.first(wrong.size).zip(wrong.values).each { |answer, words| expect(answer["why"]).to include words }
  end

  it "comes to the same whatever order two tablets send in, and however often" do
    each_case(6) do |random|
      Records::Base.connection.execute("SET LOCAL joinchain.clearing = 'on'")
      [Records::AttendanceEntry, Records::Attendance].each { |model| model.where(studio_id: studio.id).delete_all }
      said = Array.new(20) { |i| random_here(random, i) }
      undone = said.sample(4, random:).map.with_index { |one, i| undo_of(one, 50 + i) }
      tablets = (said + undone).partition { random.rand < 0.5 }
      tablets = tablets.map { |own| own.sort_by { |one| one[:order] } }
      queue = tablets.flat_map { |own| own.each_slice(3).to_a }.shuffle(random:).flatten
      ready = queue.sort_by { |one| one[:kind] == "undo" ? 1 : 0 }
      (ready + ready.sample(8, random:)).each_slice(7) do |some|
        send_entries(*some.map { |one| one.except(:order) })
      end
      standing = said.reject { |one| undone.any? { |back| back[:of] == one[:client] } }
      expect(states).to eq(last_said(standing))
    end
  end

  def random_here(random, number)
    at = (NOW.to_f * 1000).to_i - 100_000 + (number * 1000)
    state = Core::Room::Said::STATES.sample(random:)
    here(dancers.sample(random:), state, format("said%04d", number), at:).merge(order: number)
  end

  def undo_of(one, number)
    entry("undo", format("back%04d", number), of: one[:client], was: "here").merge(order: number)
  end

  # {person id => what was said of them last}.
  def last_said(said)
    said.sort_by { |one| one[:at] }.to_h { |one| [one[:person].to_i, one[:state]] }.sort.to_h
  end

  it "shows where to go: today's rehearsal, the next to try out, or that there is none" do
    get "/room"
    expect(last_response.headers["location"]).to end_with "/rehearsals/#{rehearsal.id}/room"
    App::Shared::Clock.frozen_at = NOW + 86_400
    expect(get("/room").body).to include("Nothing is rehearsed today").and include("Try the screen with its slots")
    studio.rehearsals.where.not(id: rehearsal.id).update_all(cancelled_at: NOW)
    expect(get("/room").body).to include "No rehearsal is ahead"
  end

  it "keeps a number to ring only for who needs one, shows it to the team in the room, and says what is none" do
    form = { "name" => dancers[0].name, "dances" => "1", "lock_version" => dancers[0].lock_version.to_s }
    send_form "/people/#{dancers[0].id}", form.merge("rings" => "ask her mother")
    expect(last_response.status).to eq 422
    send_form "/people/#{dancers[0].id}", form.merge("rings" => "0555 010 11")
    known = facts["people"].find { |person| person["id"] == dancers[0].id }
    expect(known["rings"]).to eq "0555 010 11"
    expect(get("/my/#{dancers[1].person_links.issue(studio_id: studio.id).last}").body).not_to include "0555"
  end

  def ticked(page) = page.css("input[name='here[]'][checked]").map { |box| box["value"] }

  it "confirms an evening on one page: minutes from the room, how far each group got, who was there" do
    send_entries(entry("step", 1, step: "begin", minute: 1085), here(dancers[0], "absent", 2),
                 entry("step", 3, step: "end", minute: 1109))
    page = Nokogiri::HTML(get("/rehearsals/#{rehearsal.id}/afterwards").body)
    expect(page.at_css("input[name='minutes[#{lesson.id}]']")["value"]).to eq "24"
    expect(page.text).to include("absent").and include("Ada Test")
    send_form "/rehearsals/#{rehearsal.id}/afterwards",
              { "here" => (ticked(page) - [dancers[0].id.to_s]), "minutes" => { lesson.id.to_s => "24" },
                "taught" => { lesson.id.to_s => "2" } }
    expect(last_response).to be_redirect
    expect([lesson.reload.actual_minutes, section.taught_to_all.eights]).to eq([24, 2])
    expect(states.slice(*dancers.map(&:id)).values.tally).to eq("absent" => 1, "present" => 3)
    expect(rehearsal.reload.confirmed_by).to eq director.account.name
  end

  describe "an evening that was as it was meant" do
    def field(name) = Nokogiri::HTML(get("/rehearsals/#{rehearsal.id}/afterwards").body).at_css("input[name='#{name}']")
    def everybody = dancers.map { |each| each.id.to_s }
    def it_was_so = send_form("/rehearsals/#{rehearsal.id}/afterwards", { "here" => everybody })

    before { lesson.update!(eights: [1, 3]) }

    it "stands filled with what the slot was for, and keeps that, as confirmed and not as counted" do
      expect(field("taught[#{lesson.id}]")["value"]).to eq "3"
      it_was_so
      expect(section.reload.taught_to_all.slice(:eights, :counted).values).to eq [3, false]
      expect(lesson.reload.actual_minutes).to be_nil
      before = section.teachings.count
      it_was_so
      expect(section.teachings.count).to eq before
    end

    it "keeps it by group, and what somebody put there as counted" do
      wings = piece.groups.create!(studio:, name: "Wings", number: 7)
      wings.group_members.create!(studio_id: studio.id, person: dancers.first)
      all = piece.groups.find_by!(name: "All")
      names = [all, wings].map { |group| "group[#{lesson.id}-#{group.id}]" }
      expect(names.map { |name| field(name)["value"] }).to eq %w[3 3]
      send_form "/rehearsals/#{rehearsal.id}/afterwards",
                { "here" => everybody, "group" => { "#{lesson.id}-#{wings.id}" => "2" } }
      kept = section.teachings.order(:group_id).pluck(:group_id, :eights, :counted)
      expect(kept).to contain_exactly([all.id, 3, false], [wings.id, 2, true])
    end

    it "keeps nothing of what was dropped" do
      send_entries(entry("step", 1, step: "drop"))
      it_was_so
      expect(section.teachings).to be_empty
    end

    it "is asked for on Home the day after, by the director and the assistant, until somebody said how it was" do
      App::Shared::Clock.frozen_at = NOW + 86_400
      sign_in director
      expect(get("/").body).to include "is behind: say how it went"
      sign_in make_member(studio, "assistant")
      expect(get("/").body).to include "is behind: say how it went"
      it_was_so
      expect(get("/").body).not_to include "say how it went"
    end
  end
end
