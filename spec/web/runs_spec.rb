# frozen_string_literal: true

require "web_helper"
require "support/run_world"

# Runs as the room sends them, what they say of whoever danced them, their page, drills, notes and clips.
RSpec.describe "runs", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }
  let(:slot) { rehearsal.slots.order(:start_minute).find(&:work?) }
  let(:section) { piece.sections.first }

  before do
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
    sign_in director
  end

  def links = @links ||= piece.links.to_a
  def key(name) = name.to_s.rjust(12, "0")

  def entry(kind, client, at: 0, **more)
    { client: key(client), kind:, at: (NOW.to_f * 1000).to_i + at, minute: slot.start_minute, slot: slot.id, **more }
  end

  def send_entries(*entries)
    send_json "/rehearsals/#{rehearsal.id}/entries", { entries: }
    JSON.parse(last_response.body)["entries"].map { |each| each["status"] }
  end

  def begin_run(kind: "music", music: true, **more)
    facts = { run_kind: kind, link: links.first.id, to: links.last.id, speed: 100, music:, **more }
    send_entries(entry("run", "run", **facts))
  end

  def end_run(link = links.last)
    rows = link.section.eights.count
    send_entries(entry("run_step", "end", run: key("run"), step: "end", link: link.id, row: rows, twelfths: 84))
  end

  def spot(client, link: links.first, row: 1, count: 1, **more)
    entry("trouble", client, run: key("run"), link: link.id, row:, twelfths: (count - 1) * 12, **more)
  end

  def word(of, client, **more) = entry("word", client, of: key(of), **more)
  def run = piece.runs.first
  def item = "s#{section.id}"

  # Who is said to have danced an item well in a run, by what stands in the log.
  def ran(key = item)
    rows = piece.ledger_entries.where(item_key: key)
    back = rows.where.not(undoes_id: nil).pluck(:undoes_id)
    rows.where(kind: %w[ran passed]).where.not(id: back).order(:person_id).map { |row| row.person.first_name }
  end

  it "takes a run in once, whichever order its words come in, and says nothing of anybody before it ended" do
    expect(begin_run).to eq ["stored"]
    said = [spot("s1", count: 5), word("s1", "w2", at: -1, kind_of: "timing", everyone: true),
            word("s1", "w1", at: -2, kind_of: "late")]
    expect(send_entries(*said)).to eq %w[stored stored duplicate]
    expect(send_entries(*said)).to eq %w[duplicate duplicate duplicate]
    trouble = run.troubles.first
    place = "#{section.name} (1 of 2), eight 1, count 5"
    expect([trouble.kind, trouble.everyone, trouble.place]).to eq ["timing", true, place]
    expect(ran).to be_empty
    expect(end_run).to eq ["stored"]
    expect(send_entries(spot("s2", run: "nobody-knows-it"))).to eq ["refused"]
    expect(send_entries(entry("run", "other", run_kind: "gala", link: links.first.id, to: links.last.id)))
      .to eq ["refused"]
  end

  it "keeps a run whose slot is no more, and refuses one of another studio's links" do
    other = make_studio
    theirs = make_piece(other, make_member(other, "director")).links.first
    expect(send_entries(entry("run", "theirs", slot: 0, run_kind: "music", link: theirs.id, to: theirs.id)))
      .to eq ["refused"]
    expect(begin_run(slot: 0)).to eq ["stored"]
    expect([run.slot_id, run.piece_id]).to eq [nil, piece.id]
  end

  it "says danced of those who were there, did not rest and of whom nothing was noted, at the rung it was danced" do
    here = { "present" => 0, "resting" => 1, "absent" => 2, "marking" => 3 }.map do |state, i|
      entry("here", "here#{i}", person: dancers[i].id.to_s, state:)
    end
    send_entries(*here)
    begin_run
    end_run
    expect(ran).to eq %w[Ada Dov]
    rows = piece.ledger_entries.where(item_key: item, kind: %w[ran passed]).order(:person_id)
    expect(rows.map { |row| [row.kind, row.rung, row.track] }).to eq [["ran", 4, "own"], ["passed", 2, "own"]]
    expect(progress.rung(dancers[0].id, item)).to eq 0
    expect(progress.learned?(dancers[0].id, item)).to be(false)
  end

  def progress = App::Reading::PieceSnapshots.of(Records::Piece.find(piece.id)).progress

  it "takes back what does not hold any more, and says it again when it does" do
    begin_run
    end_run
    everybody = ran
    expect(everybody.size).to eq 4
    send_entries(spot("s1", count: 3), word("s1", "w1", kind_of: "forgot", people: dancers[1].id.to_s))
    expect(ran).to eq everybody - ["Bram"]
    send_entries(spot("s2", count: 4))
    expect(ran).to be_empty
    send_entries(entry("undo", "u1", of: key("s2"), was: "trouble"), entry("undo", "u2", of: key("s1"), was: "trouble"))
    expect(ran).to eq everybody
    send_entries(entry("note", "n1", note: "fix", about: "person", person: dancers[2].id.to_s, text: "late", link: 1,
                                     row: 1, twelfths: 0, run: key("run")))
    send_form "/pieces/#{piece.id}/runs/troubles/#{run.troubles.first.id}/take-back", { "to" => "yes" }
    expect(ran).to eq everybody - ["Cleo"]
    send_form "/pieces/#{piece.id}/runs/#{run.id}/take-back", {}
    expect(piece.runs.standing).to be_empty
    expect(get("/pieces/#{piece.id}/runs").body).to include "none yet"
  end

  it "goes by the register as it is put right afterwards" do
    begin_run
    end_run
    everybody = ran
    expect(get("/pieces/#{piece.id}/runs/#{run.id}").body).to include "No register was kept"
    here = dancers.drop(1).map { |person| person.id.to_s }
    send_form "/rehearsals/#{rehearsal.id}/register", { "here" => here, "minutes" => {}, "taught" => {} }
    expect([everybody, ran]).to eq [%w[Ada Bram Cleo Dov], %w[Bram Cleo Dov]]
    expect(get("/pieces/#{piece.id}/runs/#{run.id}").body).to include "3 of 4 danced it."
  end

  it "counts as a clean run only where the studio counts clean runs" do
    studio.update!(settings: studio.settings.merge("learned_way" => "clean_runs", "clean_runs" => 1))
    begin_run
    end_run
    App::Reading::PieceSnapshots.clear
    expect(progress.learned?(dancers[0].id, item)).to be(true)
    studio.update!(settings: studio.settings.merge("learned_way" => "ticks"))
    App::Reading::PieceSnapshots.clear
    expect(progress.learned?(dancers[0].id, item)).to be(false)
  end

  it "shows trouble run over run, where it starts, the longest clean stretch, and a collision as a caution" do
    begin_run
    people = dancers.first(2).map(&:id).join(" ")
    send_entries(spot("s1", row: 2, count: 3), word("s1", "w1", kind_of: "collision", people:))
    end_run
    page = get("/pieces/#{piece.id}/runs").body
    expect(page).to include("in 1 of 1 runs").and include("in the section").and include("Ada Test and Bram Test")
    one = get("/pieces/#{piece.id}/runs/#{run.id}").body
    expect(one).to include("collision: Ada Test and Bram Test").and include("The longest clean stretch")
    sheet = "/rehearsals/#{rehearsal.id}/call-sheet"
    expect(get(sheet).body).to include("Settle who passes where")
    expect(get("/pieces/#{piece.id}/steps?section=#{section.id}").body).to include("Settle who passes where")
    send_form "/pieces/#{piece.id}/runs/troubles/#{run.troubles.first.id}/settle", { "to" => "yes" }
    expect(get(sheet).body).not_to include("Settle who passes where")
  end

  it "puts a drill into the next rehearsal without changing anybody's times, or says why it cannot" do
    before = calls
    send_form "/pieces/#{piece.id}/runs/drills", { "from" => "1.1", "to" => "1.2", "repetitions" => "2" }
    drill = piece.drills.first
    expect(drill.rehearsal).not_to be_nil
    expect(get("/pieces/#{piece.id}/runs").body).to include("#{App::Shared::Dates.day(drill.rehearsal.date)}, ")
    expect(calls).to eq before
    send_form "/pieces/#{piece.id}/runs/drills", { "from" => "1.1", "to" => "1.2", "repetitions" => "2" }
    expect(piece.drills.count).to eq 1
    send_form "/pieces/#{piece.id}/runs/drills", { "from" => "9.9", "to" => "1.2" }
    expect(follow_redirect!.body).to include "are not in the piece"
    send_form "/pieces/#{piece.id}/runs/drills/#{drill.id}/drop", { "to" => "yes" }
    expect(drill.reload.rehearsal_id).to be_nil
    expect(App::Reading::DrillWishes.of(piece, order, items, today: NOW.to_date)).to be_empty
    send_form "/pieces/#{piece.id}/runs/drills/#{drill.id}/drop", { "to" => "no" }
    wish = App::Reading::DrillWishes.of(piece, order, items, today: NOW.to_date).first
    draft = App::Reading::PlanDraft.new(piece.reload, studio.local(NOW))
    task = draft.tasks.find { |each| each.id == "drill-#{drill.id}" }
    expect([task.kind, task.minutes % 5, task.dancers.sort, task.links]).to eq ["clean", 0, wish.dancers.sort, [1]]
  end

  it "makes a slot of its own only with a grown-up who is there, and calls them" do
    rows = piece.published_plan.slots.includes(:slot_people).where(rehearsal:).order(:start_minute).select(&:work?)
    teacher = rows.flat_map { |row| row.slot_people.reject { |one| one.role == "dancer" } }.map(&:person).first
    App::Planning::Actions::CopySlots.remove(piece.published_plan, rows.drop(1))
    first = rows.first
    everybody = dancers.map { |one| [one.id, "dancer"] } + [[teacher.id, "teacher"]]
    late = first.dup.tap { |row| row.update!(start_minute: first.end_minute + 30, task_key: "learn-late") }
    [first, late].each do |row|
      studio.slot_people.where(slot_id: row.id).delete_all
      everybody.each { |id, role| studio.slot_people.create!(slot: row, person_id: id, role:) }
    end
    teacher.update!(adult: true)
    studio.memberships.find_by!(role: "director").update!(person: teacher)
    send_form "/pieces/#{piece.id}/runs/drills", { "from" => "1.1", "to" => "1.1", "repetitions" => "2" }
    made = studio.slots.find(piece.drills.first.slot_id)
    expect([made.task_key, made.start_minute]).to eq ["drill-#{piece.drills.first.id}", first.end_minute]
    expect(studio.mails.order(:id).last.body).to include("new, #{Formats::Times.clock(made.start_minute)}")
    expect(made.slot_people.pluck(:person_id, :role)).to match_array everybody
    expect(App::Reading::Unattended.new(studio, [made]).include?(made)).to be(false)
    send_form "/pieces/#{piece.id}/runs/drills/#{piece.drills.first.id}/drop", { "to" => "yes" }
    expect(studio.slots.exists?(made.id)).to be(false)
    expect(studio.mails.order(:id).last.subject).to include "falls away"
  end

  def snapshot = App::Reading::PieceSnapshots.of(piece.reload)
  def order = snapshot.work.order
  def items = snapshot.items

  # {[rehearsal, person] => from when until when they are called}.
  def calls
    rows = piece.published_plan.slots.includes(:slot_people).flat_map do |each|
      each.slot_people.map { |one| [[each.rehearsal_id, one.person_id], each.start_minute, each.end_minute] }
    end
    rows.group_by(&:first).transform_values { |own| [own.map { |row| row[1] }.min, own.map(&:last).max] }
  end

  it "gives notes, everyone's first, and makes what was given three times a cleaning slot" do
    write = ->(fields) { send_form "/pieces/#{piece.id}/notes", { "kind" => "fix", **fields } }
    write[{ "text" => "heels down", "about" => "p#{dancers[0].id}", "link" => "1", "eight" => "1" }]
    write[{ "text" => "late on 8", "about" => "all", "link" => "1", "eight" => "2", "count" => "8" }]
    write[{ "text" => " ", "about" => "all" }]
    expect(last_response.status).to eq 422
    write[{ "text" => "keep me", "link" => "1", "eight" => "nine" }]
    expect(last_response.body).to include("Eight and count are numbers").and include("keep me</textarea>")
    body = get("/pieces/#{piece.id}/notes").body
    expect(body).to include("2 notes to give")
    expect(body.index("late on 8")).to be < body.index("heels down")
    note = piece.notes.find_by!(text: "late on 8")
    3.times { send_form "/pieces/#{piece.id}/notes/#{note.id}/give", { "to" => "yes" } }
    expect(piece.drills.pluck(:because, :from_row, :to_row)).to eq [["late on 8", 1, 3]]
    send_form "/pieces/#{piece.id}/notes/#{note.id}/give", { "to" => "no" }
    expect(note.givings.standing.count).to eq 2
    send_form "/pieces/#{piece.id}/notes/#{note.id}/settle", { "to" => "yes" }
    expect(get("/pieces/#{piece.id}/notes").body).not_to include "late on 8</p>"
    studio.update!(settings: studio.settings.merge("words_to_minors" => true))
    token = dancers[0].person_links.create!(studio_id: studio.id, token_digest: Records::Token.digest("her-own-link"))
    expect(get("/my/her-own-link").body).not_to include "heels down"
    send_form "/pieces/#{piece.id}/notes/#{piece.notes.find_by!(text: 'heels down').id}/give", { "to" => "yes" }
    expect(get("/my/her-own-link").body).to include "heels down"
    token.destroy!
  end

  describe "clips" do
    before { studio.update!(settings: studio.settings.merge("clips" => true)) }

    def film = RunWorld::CLIP
    def made = @made ||= RunWorld.make_run(studio, piece)

    def add(path: film, people: dancers.first(2), name: "run.webm", of: "run:#{made.id}", **more)
      file = Rack::Test::UploadedFile.new(path, "video/webm", original_filename: name)
      send_form "/pieces/#{piece.id}/clips", { "file" => file, "of" => of, "people" => people.map { |one| one.id.to_s },
                                               **more }
    end

    def clip = piece.uploads.clips.last
    def file = "/pieces/#{piece.id}/clips/#{clip.id}/file"
    def consent(*people) = people.each { |person| RunWorld.make_consent(studio, person) }

    it "are off until the studio turns them on, and refused while a minor in one has no guardian's yes" do
      studio.update!(settings: studio.settings.merge("clips" => false))
      add
      expect(last_response.body).to include "Clips are off in this studio."
      studio.update!(settings: studio.settings.merge("clips" => true))
      consent(dancers[0])
      lacking = "No guardian’s yes yet for Bram Test, Cleo Test, and Dov Test"
      expect(get("/pieces/#{piece.id}/clips").body).to include lacking
      add
      expect(last_response.status).to eq 422
      expect(last_response.body).to include "No guardian’s yes for Bram Test: the clip was not kept."
      expect(clip).to be_nil
    end

    it "are served in parts while every yes stands, and hidden from everybody at once when one is withdrawn" do
      consent(*dancers.first(2))
      add
      get file, {}, { "HTTP_RANGE" => "bytes=0-99" }
      expect([last_response.status, last_response.body.bytesize]).to eq [206, 100]
      look = ->(path) { get(path).body.include?("/clips/#{clip.id}\"") }
      shown = ["/pieces/#{piece.id}/steps", "/rehearsals/#{rehearsal.id}/call-sheet"]
      clip.update!(kind: "reference", section: piece.sections.first)
      expect(shown.map(&look)).to eq [true, true]
      send_form "/pieces/#{piece.id}/clips/consents/#{studio.consents.last.id}/withdraw", {}
      get file
      expect([last_response.status, *shown.map(&look)]).to eq [404, false, false]
      expect(get("/pieces/#{piece.id}/clips/#{clip.id}").body).to include("no yes (any more) for Bram Test")
      send_form "/pieces/#{piece.id}/clips/consents", { "person" => dancers[1].id.to_s, "by" => "", "given_on" => "" }
      expect(follow_redirect!.body).to include "Say who gave the yes."
      send_form "/pieces/#{piece.id}/clips/consents", { "person" => dancers[1].id.to_s, "by" => "A. Guardian" }
      get file
      expect(last_response.status).to eq 200
      kept = App::Shared::ClipFile.path(clip)
      send_form "/pieces/#{piece.id}/clips/#{clip.id}/remove", {}
      expect([File.exist?(kept), piece.uploads.clips.count]).to eq [false, 0]
    end

    it "lose what they say of where and by whom they were filmed" do
      consent(*dancers.first(2))
      Dir.mktmpdir do |dir|
        marked = File.join(dir, "marked.mp4")
        system("ffmpeg", "-v", "error", "-f", "lavfi", "-i", "color=c=white:s=64x64:d=1", "-c:v", "libx264",
               "-metadata", "location=+47.0000+008.0000/", "-metadata", "comment=by Somebody", marked, exception: true)
        expect(File.binread(marked)).to include("loci").and include("by Somebody")
        add(path: marked, name: "marked.mp4")
      end
      expect(File.binread(App::Shared::ClipFile.path(clip))).not_to match(/loci|by Somebody/)
      expect(clip.seconds.to_f).to be_within(0.1).of(1.0)
    end

    it "are refused where they are no video, cut off, of nothing, or show nobody" do
      consent(*dancers.first(2))
      add(path: File.join(HOUSE, "README.md"), name: "film.webm")
      expect(last_response.body).to include "This is no video"
      Tempfile.create("cut") do |cut|
        cut.write(File.binread(film, 200))
        cut.flush
        add(path: cut.path)
      end
      expect(last_response.body).to include "cannot be read as a video"
      add(of: "run:0")
      expect(last_response.body).to include "Say which run or section it is of."
      add(people: [])
      expect(last_response.body).to include "Tick who can be seen in it."
      expect(piece.uploads.clips).to be_empty
    end

    it "are laid on the counts by one tap, and then open every spot at its moment; dancers see them by a setting" do
      consent(*dancers)
      trouble = RunWorld.make_trouble(made, row: 1, count: 5)
      add
      lay = ->(**fields) { send_form "/pieces/#{piece.id}/clips/#{clip.id}/marks", fields.transform_keys(&:to_s) }
      lay[link: "1", eight: "1", count: "1", second: "2.0"]
      order = snapshot.work.order
      wanted = (2.0 + order.second_at(order.links.first, 4) - order.second_at(order.links.first, 0)).round(2)
      expect(get("/pieces/#{piece.id}/runs/#{made.id}").body).to include("clips/#{clip.id}?second=#{wanted}")
      expect(get("/pieces/#{piece.id}/clips/#{clip.id}").body).to include(%(data-second="#{wanted}"))
      lay[link: "1", eight: "1", count: "1", second: "900"]
      expect(follow_redirect!.body).to include "beyond its end"
      dancers[0].person_links.create!(studio_id: studio.id, token_digest: Records::Token.digest("her-own-link"))
      get "/my/her-own-link/clips/#{clip.id}"
      expect(last_response.status).to eq 404
      studio.update!(settings: studio.settings.merge("clips_for_dancers" => true))
      get "/my/her-own-link/clips/#{clip.id}"
      expect([last_response.status, trouble.place]).to eq [200, "Gate, eight 1, count 5"]
    end
  end
end
