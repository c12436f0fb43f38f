# frozen_string_literal: true

require "web_helper"
require "support/run_world"
require "support/format_contract"

# A whole studio packed into one file and unpacked as a studio of its own: every row and file is there again under new
# numbers, every screen says the same, nothing of the first is touched.
RSpec.describe "a studio's archive", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rows) { Records::Mapping::StudioRows }

  after { App::Jobs::MoveStudio.run_synchronously = false }

  # Something in as many tables as a specification has at hand.
  def furnish
    make_season(studio)
    plan = App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    keys = App::Reading::PieceSnapshots.of(piece).items.all.map(&:key)
    cells = keys.map { |key| "#{dancers.first.id}:#{key}" }
    App::Learning::Actions::RecordTicks.new(piece, director, { "cells" => cells, "rung" => 3 }, NOW.to_date).run
    agree(1)
    RunWorld.ids(studio, piece, dancers.first)
    attach
    studio.update!(settings: { "quiet_from" => 1200 })
  end

  def agree(number)
    App::Reading::PieceSnapshots.clear
    standing = App::Reading::PieceSnapshots.of(piece.reload).standings[number - 1]
    App::Joins::Actions::Agree.new(piece, standing, { "words" => "on 8" }, director.account, NOW.to_date).run
  end

  def attach
    sound = { "filename" => "winter.wav", "tempfile" => File.open("#{HOUSE}/app/assets/sounds/1.wav", "rb") }
    App::Piece::Actions::AttachTrack.new(piece, sound, director.account).run
  end

  def pack
    transfer = studio.transfers.create!(account: director.account, kind: "pack", state: "asked")
    App::Jobs::MoveStudio.run(transfer.id)
    expect(transfer.reload.report).not_to have_key "faults"
    File.binread(App::Shared::ArchiveFile.path(transfer))
  end

  def unpack(bytes, account: director.account)
    file = App::Shared::ArchiveFile.upload(StringIO.new(bytes), :store).data
    transfer = Records::Transfer.create!(account:, kind: "unpack", state: "asked", file_data: file)
    App::Jobs::MoveStudio.run(transfer.id)
    transfer.reload
  end

  # The archive with a table put otherwise.
  def with_table(bytes, table)
    Zip::OutputStream.write_buffer do |out|
      Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
        text = entry.get_input_stream.read
        text = JSON.generate(yield(JSON.parse(text))) if entry.name == "tables/#{table}.json"
        out.put_next_entry(entry.name)
        out.write(text)
      end
    end.string
  end

  def counts(of) = rows::TABLES.to_h { |table| [table, JSON.parse(rows.of(of, table).first).size] }

  def said(of)
    App::Reading::PieceSnapshots.clear
    of.pieces.order(:id).map do |each|
      snapshot = App::Reading::PieceSnapshots.of(each)
      [Formats::PieceFile.render(App::Reading::PieceContent.new(each).content), snapshot.percent,
       snapshot.standings.map { |standing| [standing.state, standing.changed, standing.have, standing.agreed?] }]
    end
  end

  it "knows what becomes of every table of a studio" do
    own = Records::Base.connection.tables.select { |table| Records::Base.connection.column_exists?(table, :studio_id) }
    expect(own - rows::TABLES - rows::LEFT_OUT - %w[transfers que_jobs]).to be_empty
    rows::TABLES.each_with_index do |table, i|
      later = rows.references(table).values - rows::TABLES.first(i + 1)
      expect(later).to be_empty, "#{table} names #{later} before they come"
    end
  end

  it "brings back every row, file and standing, touches nothing of the first, and every screen opens" do
    furnish
    before = [counts(studio), said(studio)]
    bytes = pack
    done = unpack(bytes)
    other = done.studio
    expect([done.state, done.report["dropped"]]).to eq ["done", {}]
    expect([counts(other), said(other)]).to eq before
    expect([counts(studio), said(studio)]).to eq before
    expect(other.settings).to eq studio.reload.settings
    upload = other.uploads.tracks.last
    expect(File.binread(App::Shared::TrackFile.path(upload))).to eq File.binread("#{HOUSE}/app/assets/sounds/1.wav")
    expect(other.memberships.map { |each| [each.account, each.role] }).to eq [[director.account, "director"]]
    sign_in other.memberships.first
    made = other.pieces.first
    ["", "/steps", "/joins", "/joins/1", "/spacing?at=1", "/who-has-it", "/plan", "/runs", "/notes", "/music", "/files"]
      .each { |screen| expect(get("/pieces/#{made.id}#{screen}").status).to eq(200), screen }
    other.rehearsals.each { |each| expect(get("/rehearsals/#{each.id}/call-sheet").status).to eq 200 }
  end

  it "names learning items, joins and tasks by the numbers they have here" do
    furnish
    other = unpack(pack).studio
    made = other.pieces.first
    keys = App::Reading::PieceSnapshots.of(made).items.all.map(&:key)
    expect(other.learning_states.pluck(:item_key).uniq).to match_array(keys)
    expect(made.agreements.pluck(:join_key) - App::Reading::PieceSnapshots.of(made).joins.map(&:key)).to be_empty
    expect(other.slots.flat_map(&:section_ids).uniq - made.sections.ids).to be_empty
    subjects = other.slots.pluck(:task_key).map { |key| Core::Planning::TaskKey.subject(key) }
    expect(subjects.grep(/\A[sjd]/).uniq - keys).to be_empty
  end

  it "leaves an agreement changed where it had changed" do
    agree(1)
    piece.sections.second.eights.first.update!(text: "1 kick R")
    piece.touch
    expect(said(studio).first.last.first[1]).to eq [:entering]
    expect(said(unpack(pack).studio)).to eq said(studio)
  end

  it "takes no archive in by halves" do
    furnish
    bytes = pack
    odd = {
      "people" => ->(all) { all.each { |row| row["name"] = "" } },
      "sections" => ->(all) { all.each { |row| row["hazards"] = "jump" } },
      "tracks" => ->(all) { all.each { |row| row["tempo"] = "fast" } },
      "eights" => ->(all) { all.each { |row| row["counts"] = 99 } }
    }
    before = Records::Studio.count
    odd.each do |table, change|
      failed = unpack(with_table(bytes, table) { |all| change.call(all) })
      expect([failed.state, failed.report["faults"].size]).to eq(["failed", 1]), table
      expect(Records::Studio.count).to eq before
    end
    lost = unpack(with_table(bytes, "people") { |all| all.reject { |row| row["name"] == "Ada Test" } })
    expect([lost.state, lost.report["faults"]]).to eq ["done", nil]
    expect(lost.report["dropped"].keys).to include("castings", "group_members")
    extra = unpack(with_table(bytes, "rooms") { |all| all.each { |row| row["colour"] = "red" } })
    expect(extra.state).to eq "done"
  end

  describe "one that somebody made to do harm" do
    # The archive with these parts put otherwise, or added.
    def with_parts(bytes, parts)
      Zip::OutputStream.write_buffer do |out|
        all = Zip::File.open_buffer(StringIO.new(bytes)).to_h { |entry| [entry.name, entry.get_input_stream.read] }
        all.merge(parts).each do |name, text|
          out.put_next_entry(name)
          out.write(text)
        end
      end.string
    end

    def manifest(**more) = { "format" => "studio-archive-1", "studio" => "S", **more }.to_json

    def looked(bytes)
      App::Jobs::MoveStudio.run_synchronously = true
      file = Tempfile.create.tap { |each| each.binmode.write(bytes) && each.flush }
      App::Files::Actions::KeepArchive.new(director.account, { tempfile: file }).run.value.reload
    end

    it "is refused at a setting that no form would take, at the first look" do
      found = looked(with_parts(pack, "manifest.json" => manifest("settings" => { "erase_after" => "soon" })))
      expect([found.state, found.report["faults"]]).to match ["failed", [/says "soon" for erase_after/]]
      expect(unpack(with_parts(pack, "manifest.json" => manifest("settings" => { "erase_after" => "soon" }))).state)
        .to eq "failed"
    end

    it "keeps of what it says of itself only what is shown" do
      found = looked(with_parts(pack, "manifest.json" => manifest("note" => "x" * 9000, "rows" => { "people" => 4 })))
      expect(found.report["manifest"]).to eq("studio" => "S", "made_on" => "", "rows" => { "people" => 4 })
      large = looked(with_parts(pack, "manifest.json" => manifest("note" => "x" * 2_000_000)))
      expect(large.report["faults"]).to match [/manifest.json is too large/]
    end

    it "is refused with a value that is out of range, with its place" do
      furnish
      bytes = pack
      odd = {
        "people" => { "archived_at" => "infinity" }, "rehearsals" => { "date" => "-infinity" },
        "tracks" => { "first_count_seconds" => "NaN" }, "eights" => { "counts" => "8" }, "pieces" => { "title" => [] }
      }
      odd.each do |table, values|
        failed = unpack(with_table(bytes, table) { |all| all.each { |row| row.merge!(values) } })
        expect([failed.state, failed.report["faults"].first]).to match(["failed", /#{table}.*#{values.keys.first}/])
      end
    end

    it "is refused at a setting of a piece that no form would take" do
      bytes = with_table(pack, "pieces") { |all| all.each { |row| row["settings"] = { "ready_days" => "soon" } } }
      failed = unpack(bytes)
      expect([failed.state, failed.report["faults"]]).to match ["failed", [/settings.ready_days/]]
    end

    it "is ended where it unpacks to much more than it is, by what is counted and not by what it says" do
      zeros = with_parts(pack, "tables/notes.json" => "[#{' ' * 70_000_000}]")
      expect(zeros.bytesize).to be < 1_000_000
      expect(unpack(zeros).report["faults"]).to match [/notes.json is too large/]
    end

    it "brings no page and nothing that only begins like a sound" do
      attach
      id = studio.uploads.tracks.last.id
      ["<html><script>alert(1)</script>", "RIFF\x24\x00\x00\x00WAVE".b].each do |content|
        made = unpack(with_parts(pack, "files/#{id}" => content))
        expect([made.state, made.report["not_kept"], made.studio.uploads.tracks.count]).to eq ["done", 1, 0]
      end
    end
  end

  it "keeps out what would open something: links, tokens, words, accounts" do
    furnish
    dancers.first.person_links.issue(studio_id: studio.id)
    App::People::Actions::GiveWord.new(dancers.first, "clover", NOW).run
    studio.program_tokens.issue(name: "board", by_name: "M")
    other = unpack(pack).studio
    expect([other.person_links.count, other.program_tokens.count, other.people.where.not(family_word: nil).count])
      .to eq [0, 0, 0]
    expect(rows.of(studio, "people").first).to include "family_word"
    expect(other.mails.count).to eq 0
  end

  it "is not kept here with somebody in it who was erased" do
    transfer = studio.transfers.create!(account: director.account, kind: "pack", state: "asked")
    App::Jobs::MoveStudio.run(transfer.id)
    App::People::Actions::Erase.new(dancers.last, dancers.last.name).run
    expect(App::Shared::ArchiveFile.path(transfer.reload)).to be_nil
  end

  it "goes the whole way in the browser's forms, and only for directors of that studio" do
    piece
    App::Jobs::MoveStudio.run_synchronously = true
    sign_in director
    send_form "/files/archive", {}
    page = Nokogiri::HTML(get("/files/archive").body)
    path = page.at_css("a[href$='.zip']")["href"]
    get path
    zip = last_response.body
    sign_in make_member(make_studio, "director")
    expect(get(path).status).to eq 404
    file = Rack::Test::UploadedFile.new(StringIO.new(zip.dup), "application/zip", original_filename: "s.zip")
    post "/studios/archive", { "file" => file }, { "HTTP_X_CSRF_TOKEN" => token }
    seen = follow_redirect!.body
    expect(seen).to include(studio.name).and include("One piece").and include "Not in it: who signs in"
    before = Records::Studio.count
    address = last_request.path
    send_form "#{address}/take", {}
    expect(Records::Studio.count).to eq before + 1
    expect(get(address).body).to include("is here").and include "/enter"
    sign_in director
    expect(get(address).status).to eq 404
    send_form "/studios/archive", {}
    expect([last_response.status, last_response.body]).to match [422, /Choose the packed studio first/]
  end

  describe Formats::StudioArchive do
    let(:sample) { @bytes ||= pack }

    def read(bytes)
      archive = described_class.parse(StringIO.new(bytes))
      archive.tables.each { |table| archive.rows(table) }
      archive.files.each { |id| archive.file(id) }
    end

    it_behaves_like "a format that comes in", inside: true
  end
end
