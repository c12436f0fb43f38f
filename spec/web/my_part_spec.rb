# frozen_string_literal: true

require "web_helper"
require "support/run_world"
require "support/erasing_form"

# A dancer's own page: their line in words, questions and answers, the memory check; a guardian's page; what is kept
# about somebody, and erasing them.
RSpec.describe "my part", :web do
  include ErasingForm

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:ada) { dancers.first }
  let(:link) { piece.links.to_a.second }
  let(:section) { link.section }

  def private_link(kind = "dancer", person: ada) = person.person_links.issue(studio_id: studio.id, kind:).last
  def mine = @mine ||= "/my/#{private_link}"
  def line = get("#{mine}/links/#{link.id}").body

  it "shows the line eight by eight, in the dancer's version, with what was taught, and what comes before and after" do
    section.eights.first.update!(text: "1 step R 2 close L", cue: "the bell")
    section.versions.create!(studio:, kind: "seated", eights: { "2" => "1-8 wheel forward" })
    piece.version_people.create!(studio:, person: ada, kind: "seated")
    Records::Teaching.create!(studio_id: studio.id, section:, eights: 1, by_name: "M", day: NOW.to_date)
    body = line
    expect(body).to include("1 step R 2 close L").and include("the bell").and include("1-8 wheel forward")
    expect(body).to include("Comes from <strong>#{piece.links.first.section.name}</strong>")
    expect(body.scan("untaught").size).to eq section.eights.count - 1
    expect(body).to include(%("toRow":1))
    other = make_cast(make_piece(studio, director, title: "Other"), %w[Zed]).first
    get "/my/#{private_link(person: other)}/links/#{link.id}"
    expect(last_response.status).to eq 404
  end

  it "brings a question to the teacher as a note, and the answer back" do
    send_form "#{mine}/questions", { "link" => link.id.to_s, "text" => "which arm?" }
    send_form "#{mine}/questions", { "link" => link.id.to_s, "text" => "which arm?" }
    send_form "#{mine}/questions", { "link" => link.id.to_s, "text" => " " }
    note = piece.notes.first
    expect([piece.notes.count, note.kind, note.section_id, note.by_name]).to eq [1, "question", section.id, "Ada Test"]
    expect(line).to include("which arm?").and include("the answer comes here")
    sign_in director
    expect(get("/pieces/#{piece.id}/notes").body).to include("Answer Ada")
    send_form "/pieces/#{piece.id}/notes/#{note.id}/answer", { "text" => "the left, palm up" }
    expect(line).to include "the left, palm up"
    expect(get("/pieces/#{piece.id}/notes").body).not_to include "Answer Ada"
  end

  it "asks at most five things of the chain, says what is right, ticks nothing and keeps nobody's answers" do
    page = get("#{mine}/memory/#{piece.id}").body
    names = page.scan(/name="answers\[([^\]]+)\]"/).flatten.uniq
    expect(names.size).to be_between(2, 5)
    snapshot = App::Reading::PieceSnapshots.of(piece)
    asked = App::Reading::MemoryQuestions.new(snapshot).for_person(ada, NOW.to_date)
    expect(asked.map(&:key)).to eq names
    wrong = asked.first.choices.map(&:first).find { |choice| choice != asked.first.answer }
    answers = asked.to_h { |one| [one.key, one.answer] }.merge(asked.first.key => wrong)
    send_form "#{mine}/memory/#{piece.id}", { "answers" => answers }
    body = follow_redirect!.body
    expect(body).to include("#{asked.size - 1} of #{asked.size} right").and include("It is ")
    kept = studio.memory_answers
    expect(kept.count).to eq(asked.count { |one| one.question.join })
    expect(kept.first.attributes.keys).to match_array %w[id studio_id piece_id link_id kind sure day]
    expect(piece.ledger_entries).to be_empty
    sign_in director
    RunWorld.make_run(studio, piece, rehearsal: make_season(studio) && studio.rehearsals.first)
    expect(get("/pieces/#{piece.id}/runs").body).to include("remembered it")
  end

  it "takes a report in once under its key, though a teacher has answered since" do
    studio.update!(settings: { "self_reports" => true })
    said = { "piece" => piece.id.to_s, "item" => "s#{section.id}", "rung" => "4", "client" => "abcdefghijk1" }
    send_form "#{mine}/reports", said
    answer = { "cells" => ["#{ada.id}:s#{section.id}"], "rung" => 2 }
    App::Learning::Actions::RecordTicks.new(piece, director, answer, NOW.to_date).run
    send_form "#{mine}/reports", said
    expect(piece.ledger_entries.where(kind: "self_reported").count).to eq 1
    send_form "#{mine}/reports", said.merge("client" => "abcdefghijk2")
    expect(piece.ledger_entries.where(kind: "self_reported").count).to eq 2
  end

  it "lets a guardian say when a minor is away, read every word to them, and tick nothing; each link ends apart" do
    studio.update!(settings: { "self_reports" => true })
    guardian = "/my/#{private_link('guardian')}"
    piece.notes.create!(
      studio:, kind: "fix", about: "person", person: ada, text: "heels down", by_name: "M", said_at: 1,
      client_id: "n-1", created_at: NOW
    )
    body = get(guardian).body
    expect(body).to include("heels down").and include("Is away then")
    expect(body).not_to include ">I have it<"
    expect(get(mine).body).not_to include "Is away then"
    send_form "#{mine}/absences", { "from_date" => "2027-02-20", "to_date" => "" }
    expect([last_response.status, ada.absences.count]).to eq [404, 0]
    send_form "#{guardian}/absences", { "from_date" => "2027-02-20", "to_date" => "2027-02-21" }
    expect(ada.absences.pluck(:from_date, :to_date)).to eq [[Date.new(2027, 2, 20), Date.new(2027, 2, 21)]]
    send_form "#{guardian}/reports", { "piece" => piece.id.to_s, "item" => "s#{section.id}", "rung" => "4" }
    expect(last_response.status).to eq 404
    send_form "#{guardian}/absences/#{ada.absences.first.id}/take-back", {}
    expect(ada.absences.count).to eq 0
    sign_in director
    send_form "/people/#{ada.id}/guardian-link/revoke", {}
    expect([guardian, mine].map { |path| get(path).status }).to eq [404, 200]
  end

  it "sends a clip to whoever teaches it and to nobody else, until it was reviewed" do
    studio.update!(settings: { "clips" => true, "learned_way" => "clip" })
    file = -> { Rack::Test::UploadedFile.new(RunWorld::CLIP, "video/webm") }
    send_form "#{mine}/reviews", { "link" => link.id.to_s, "file" => file.call }
    expect(follow_redirect!.body).to include "Your guardian has not said yes"
    RunWorld.make_consent(studio, ada)
    2.times { send_form "#{mine}/reviews", { "link" => link.id.to_s, "file" => file.call } }
    clip = piece.uploads.reviews.first
    expect([piece.uploads.reviews.count, clip.section_id]).to eq [1, section.id]
    address = "/pieces/#{piece.id}/reviews/#{clip.id}"
    seen = ["#{mine}/reviews/#{clip.id}", "/my/#{private_link('guardian')}/reviews/#{clip.id}"].map do |path|
      get(path).status
    end
    sign_in make_member(studio, "choreographer", person: studio.people.create!(name: "Somebody Else", teaches: true))
    seen << get(address).status
    sign_in director
    seen << get(address).status
    expect(seen).to eq [404, 200, 404, 200]
    kept = App::Shared::ClipFile.path(clip)
    expect(get("/pieces/#{piece.id}/who-has-it/sign-offs").body).to include "Ada Test sent a clip"
    send_form address, { "answer" => "yes" }
    expect(piece.ledger_entries.pluck(:kind, :person_id)).to eq [["clip_reviewed", ada.id]]
    expect([piece.uploads.reviews.count, File.exist?(kept)]).to eq [0, false]
    send_form "#{mine}/reviews", { "link" => link.id.to_s, "file" => file.call }
    App::Jobs::Tidy.run(NOW + (15 * 86_400))
    expect(piece.uploads.reviews).to be_empty
  end

  it "erases by itself whom the studio archived long ago, where it wants that" do
    ada.update!(archived_at: NOW - (40 * 86_400))
    App::Jobs::Tidy.run(NOW)
    expect(ada.reload.name).to eq "Ada Test"
    studio.update!(settings: { "erase_after" => 30 })
    2.times { App::Jobs::Tidy.run(NOW) }
    expect(ada.reload.name).to eq "Somebody #{ada.id}"
    expect(dancers.second.reload.name).to eq "Bram Test"
  end

  it "says what is kept about somebody and why, to them and to the director, and hands it out" do
    RunWorld.make_consent(studio, ada)
    body = get("#{mine}/kept").body
    expect(body).to include("A guardian’s yes").and include("Nobody is in a clip without it.")
    data = JSON.parse(get("#{mine}/kept.json").body)
    expect(data["kept"]["person"]["rows"].first["name"]).to eq "Ada Test"
    sign_in director
    expect(JSON.parse(get("/people/#{ada.id}/kept.json").body)).to eq data
  end

  describe "erasing" do
    # Everything the database holds, as text.
    def everything
      connection = Records::Base.connection
      tables = connection.tables - %w[schema_migrations ar_internal_metadata]
      tables.flat_map do |table|
        connection.select_values("SELECT t::text FROM #{connection.quote_table_name(table)} t")
      end
    end

    def figures
      progress = Records::Mapping::Learnings.progress(piece.reload)
      items = App::Reading::PieceSnapshots.of(piece).items
      others = dancers.drop(1).map(&:id)
      items.all.map { |item| others.map { |id| progress.rung(id, item.key) } }
    end

    def tick(person, rung)
      App::Learning::Actions::RecordTicks.new(
        piece, director, { "cells" => ["#{person.id}:s#{section.id}"], "rung" => rung }, NOW.to_date
      ).run
    end

    # What is written into the log from here on.
    def logged
      lines = []
      log = instance_double(SemanticLogger::Logger)
      %i[info warn error debug].each do |level|
        allow(log).to(receive(level) do |*said, **more|
          lines << said.inspect << more.inspect
        end)
      end
      allow(SemanticLogger).to receive(:[]).and_return(log)
      lines
    end

    it "leaves figures true and the name nowhere: not in rows, files, the outbox or logs" do
      FileUtils.rm_rf(Settings.files_dir) # letters of other examples name others
      lines = logged
      dancers.each_with_index { |person, i| tick(person, i + 1) }
      studio.update!(settings: { "self_reports" => true, "clips" => true })
      send_form "#{mine}/reports", { "piece" => piece.id.to_s, "item" => "s#{section.id}", "rung" => "4" }
      send_form "#{mine}/questions", { "link" => link.id.to_s, "text" => "which arm for Ada?" }
      piece.notes.create!(
        studio:, kind: "fix", about: "section", section:, text: "Ada turns late, Adam does not", by_name: "Ada Test",
        said_at: 1, client_id: "n-1", created_at: NOW
      )
      mail = App::Shared::Post.new(studio).send_out(
        to: "m@example.org", template: "plan_told", name: "M", piece: piece.title, lines: "Ada Test: 18:00", link: "x"
      )
      App::Jobs::Deliver.run(mail.id)
      make_season(studio)
      clip = RunWorld.make_clip(RunWorld.make_run(studio, piece), [ada])
      kept = App::Shared::ClipFile.path(clip)
      sign_in director
      erase_person ada, name: "Ada"
      expect(last_response.body).to include "Type the name as it stands"
      before = [figures, piece.ledger_entries.where(person_id: ada.id).pluck(:kind, :rung)]
      erase_person ada
      expect(last_response).to be_redirect
      expect([figures, piece.ledger_entries.where(person_id: ada.id).pluck(:kind, :rung)]).to eq before
      expect(everything.grep(/\bAda\b/)).to eq []
      expect(everything.grep(/Adam does not/).size).to be_positive
      files = Dir[File.join(Settings.files_dir, "**", "*")].select { |path| File.file?(path) }
      expect(files.select { |path| File.binread(path).match?(/\bAda\b/n) }).to eq []
      expect([File.exist?(kept), get(mine).status, lines.grep(/\bAda\b/)]).to eq [false, 404, []]
      expect(lines).not_to be_empty
    end
  end
end
