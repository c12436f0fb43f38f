# frozen_string_literal: true

require "web_helper"
require "support/mutations"

# What a studio takes along as files, and what comes in: lists for spreadsheets, a whole piece, a roster whose columns
# are put right by hand.
RSpec.describe "files", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, ["Ada", "=Bram", "Zoë"]) }

  before { sign_in director }

  def rows = CSV.parse(last_response.body.force_encoding("UTF-8").delete_prefix("\uFEFF"))
  def upload(bytes, name) = Rack::Test::UploadedFile.new(StringIO.new(bytes.dup), "text/plain", original_filename: name)
  def text = Nokogiri::HTML(last_response.body).text.gsub(/\s+/, " ")

  def file_of(some)
    App::Reading::PieceSnapshots.clear
    Formats::PieceFile.render(App::Reading::PieceContent.new(some.reload).content)
  end

  describe "lists" do
    it "says who has it by the rungs' names, and how many, as values and as a workbook" do
      section = piece.sections.first
      sent = { "cells" => ["#{dancers.first.id}:s#{section.id}"], "rung" => 3 }
      App::Learning::Actions::RecordTicks.new(piece, director, sent, NOW.to_date).run
      get "/pieces/#{piece.id}/files/tables/who-has-it.csv"
      column = rows.first.index("Opening Walk")
      first = rows.find { |row| row.first == "'=Bram Test" }
      expect(first[column]).to start_with "at tempo"
      expect(rows.map(&:first)).to include "'=Bram Test"
      expect(last_response.headers["content-disposition"]).to include "who-has-it-winter-piece.csv"
      get "/pieces/#{piece.id}/files/tables/who-has-it.xlsx"
      grid, shares = Formats::Xlsx.parse(last_response.body)
      expect(grid.rows.map(&:first)).to eq ["=Bram Test", "Ada Test", "Zoë Test"]
      expect(shares.rows.find { |row| row.first == "Opening Walk" }[1, 2]).to eq %w[0 3]
    end

    it "gives out the plan, attendance and loads as they stand in the database" do
      make_season(studio)
      plan = App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run
      App::Planning::Actions::Publish.new(plan, NOW).run
      get "/pieces/#{piece.id}/files/tables/plan.csv"
      expect(rows.size).to eq plan.slots.count + 1
      expect(rows[1].first).to eq plan.slots.includes(:rehearsal).map { |slot| slot.rehearsal.date }.min.iso8601
      get "/files/tables/loads.csv"
      own = plan.slots.work.joins(:slot_people).where(slot_people: { person_id: dancers.first.id })
      expect(rows.find { |row| row.first == dancers.first.name.sub(/\A=/, "'=") }[1, 2])
        .to eq [own.distinct.count(:rehearsal_id), own.sum(:minutes)].map(&:to_s)
      day = studio.rehearsals.order(:date).first
      day.update!(date: studio.today(App::Shared::Clock.now))
      studio.attendances.create!(rehearsal: day, person: dancers.last, present: false, by_name: "M")
      get "/files/tables/attendance.csv"
      expect(rows.find { |row| row.first == "Zoë Test" }).to eq ["Zoë Test", "0", "absent"]
    end

    it "lets nobody have what is not theirs, and knows no other list" do
      get "/files/tables/passwords.csv"
      expect(last_response.status).to eq 404
      get "/files/tables/loads.exe"
      expect(last_response.status).to eq 404
      sign_in make_member(studio, "choreographer")
      get "/files/tables/loads.csv"
      expect(last_response.status).to eq 403
      sign_in make_member(make_studio, "director")
      get "/pieces/#{piece.id}/files/piece.json"
      expect(last_response.status).to eq 404
    end
  end

  describe "a piece's file" do
    # Everything that hangs on a piece beside its lines.
    def furnish
      walk, spiral = piece.sections.to_a
      group = piece.groups.first
      group.update!(leader: dancers.first)
      walk.update!(bring: "scarf", note: "slow", layered_ladder: true,
                   stated_exit: { "weight" => "left", "facing" => 3 })
      spiral.parts.create!(studio:, group:, start_offset: 4, pauses: [[4, 2]], stretches: [[1, 2, "free"]])
      Records::Version.create!(studio:, section: walk, kind: "seated", eights: { "1" => "1 lean" }, note: "")
      piece.version_people.create!(studio:, person: dancers.first, kind: "seated")
      row = piece.formations.create!(studio:, link: piece.links.first, moment: "count", count: 9)
      row.spots.create!(studio:, person: dancers.last, x: -1.25, y: 3, facing: 2, pinned: true)
      piece.understudies.create!(studio:, person: dancers.first, covered: dancers.last)
      piece.update!(settings: { "full_runs" => 3, "opening" => { "pose" => "huddle", "facing" => 1 } })
      piece.touch
      agree
    end

    def agree
      App::Reading::PieceSnapshots.clear
      standing = App::Reading::PieceSnapshots.of(piece.reload).standings.first
      App::Joins::Actions::Agree.new(piece, standing, { "words" => "breathe" }, director.account, NOW.to_date).run
      piece.join_facts.create!(studio:, join_key: standing.join.key, owner: dancers.first, note: "mine")
      piece.touch
    end

    it "is the same when it was taken in by another studio and comes out again" do
      furnish
      get "/pieces/#{piece.id}/files/piece.json"
      file = last_response.body.force_encoding("UTF-8")
      other = make_studio
      sign_in make_member(other, "director")
      post "/files/piece/preview", { "file" => upload(file, "winter.json") }, { "HTTP_X_CSRF_TOKEN" => token }
      expect(text).to include("2 sections · 4 links").and include("would be added: ").and include "one join agreed"
      expect(other.pieces.count).to eq 0
      send_form "/files/piece", { "text" => file }
      made = other.pieces.first
      expect(last_response.headers["location"]).to end_with "/pieces/#{made.id}"
      expect(file_of(made)).to eq file
      expect(App::Reading::PieceSnapshots.of(made).standings.first).to be_agreed
      %w[/ /steps /joins /spacing?at=1 /who-has-it /plan].each do |screen|
        get "/pieces/#{made.id}#{screen}".chomp("/")
        expect(last_response.status).to eq 200
      end
    end

    it "finds people by their names, takes names for teachers, and leaves other pieces as they are" do
      before = file_of(piece)
      file = { format: "piece-1", title: "Winter Piece", links: [{ section: "a" }], groups: [{ id: "g", name: "All" }],
               sections: [{ id: "a", name: "Smoke", choreographer: "Nell Ash", rows: [{ counts: 8 }] }],
               people: [{ id: "p", name: "ada TEST", dances: true }], cast: [{ person: "p", groups: ["g"] }] }
      send_form "/files/piece", { "text" => file.to_json }
      made = studio.pieces.order(:id).last
      expect(made.people).to eq [dancers.find { |person| person.name == "Ada Test" }]
      expect(made.sections.first.choreographer).to have_attributes(name: "Nell Ash", teaches: true,
                                                                   tape: be_between(1, 12))
      expect(file_of(piece)).to eq before
    end

    it "names what is wrong, keeps nothing of it, and says what cannot stand in the database" do
      long = { format: "piece-1", title: "x" * 81, sections: [], links: [] }.to_json
      faulty = { format: "piece-1", title: "T", sections: [{ id: "a", name: "S", rows: [{ counts: 99 }] }] }.to_json
      expect { send_form "/files/piece", { "text" => faulty } }.not_to(change { studio.pieces.count })
      expect(last_response.status).to eq 422
      expect(text).to include "sections[0].rows[0].counts: must be a whole number from 1 to 64, got 99"
      expect { send_form "/files/piece", { "text" => long } }.not_to(change { studio.pieces.count })
      expect(text).to include "nothing of it is kept"
      sign_in make_member(studio, "assistant")
      send_form "/files/piece", { "text" => faulty }
      expect(last_response.status).to eq 403
    end

    it "answers every spoilt file with words, and keeps the studio whole" do
      furnish
      file = file_of(piece)
      each_case(25) do |random|
        send_form "/files/piece", { "text" => Mutations.of(file, random).force_encoding("UTF-8").scrub("?") }
        expect(last_response.status).to eq(303).or eq(302).or eq 422
      end
      studio.pieces.find_each { |each| expect(App::Reading::PieceSnapshots.of(each).standings).to be_a Array }
    end
  end

  describe "a roster from a spreadsheet" do
    let(:book) do
      rows = [%w[Noor Tamsin Scouts], ["", "", "Scouts"], ["Ilka", "Brandt", "Nurses, Scouts"]]
      Formats::Xlsx.render([Formats::Table.new(name: "Class", columns: %w[Vorname Nachname Klasse], rows:)])
    end

    it "is read, put right by hand, and taken in as it was shown" do
      post "/roster/preview", { "piece" => piece.id.to_s, "file" => upload(book, "class.xlsx") },
           { "HTTP_X_CSRF_TOKEN" => token }
      shown = Nokogiri::HTML(last_response.body)
      pasted = shown.at_css("textarea[hidden]").text.delete_prefix("\n")
      expect(shown.css("select[name^=columns]").map { |each| each["name"] }).to eq %w[columns[0] columns[1] columns[2]]
      by_hand = { "columns" => { "0" => "first", "1" => "last", "2" => "groups" }, "heading" => "1" }
      sent = { "piece" => piece.id.to_s, "text" => pasted, **by_hand }
      send_form "/roster/preview", sent
      expect(text).to include("2 dancers understood").and include "Line 3: no name"
      fields = Nokogiri::HTML(last_response.body).css("form[action='/roster'] input[type=hidden]")
      expect(fields.map { |each| [each["name"], each["value"]] }).to include(["columns[0]", "first"], %w[heading 1])
      send_form "/roster", sent
      expect(piece.reload.people.pluck(:name)).to include("Noor Tamsin", "Ilka Brandt")
      expect(piece.groups.pluck(:name)).to include("Scouts", "Nurses")
    end

    it "says what it cannot read" do
      post "/roster/preview", { "file" => upload("PK\x03\x04 nothing", "x.xlsx") }, { "HTTP_X_CSRF_TOKEN" => token }
      expect(last_response.status).to eq 422
      expect(text).to include "cannot be read as a workbook"
    end
  end

  describe "a count sheet" do
    let(:section) { piece.sections.second }
    let(:path) { "/pieces/#{piece.id}/sections/#{section.id}/paste" }

    def texts = section.eights.reload.map { |eight| [eight.counts, eight.text, eight.cue, eight.name] }

    it "is shown line by line, with what nobody knows of it, and saved after what there is or in its place" do
      sheet = "Chorus:\n1. 1 step R 2 gribble [bell]\n(4) hold\n99 counts: jump"
      before = texts
      steps = get("/pieces/#{piece.id}/steps?section=#{section.id}").body
      send_form "#{path}/preview", { "text" => sheet, "way" => "after" }
      expect(text).to include("2 eights understood").and include("1 step R").and include("kept as words: gribble")
      expect(text).to include("Line 4: an eight has 1 to 64 counts").and include "Chorus"
      expect(texts).to eq before
      drawn = ->(page) { Nokogiri::HTML(page).css("svg.eight-picture").map(&:to_s) }
      expect(drawn.call(get("/pieces/#{piece.id}/steps?section=#{section.id}").body)).to eq drawn.call(steps)
      send_form path, { "text" => sheet, "way" => "after", "lock_version" => section.reload.lock_version.to_s }
      added = [[8, "1 step R 2 gribble", "bell", "Chorus"], [4, "hold", "", ""]]
      expect(texts).to eq before + added
      send_form path, { "text" => sheet, "way" => "instead", "lock_version" => section.reload.lock_version.to_s }
      expect(texts).to eq added
      send_form path, { "text" => "1 jump", "way" => "instead", "lock_version" => "0" }
      expect(last_response.status).to eq 422
      expect([texts, text]).to match [added, /changed this section meanwhile/]
    end

    it "comes from a workbook with its counts in columns, and is nobody's who does not teach it" do
      rows = [["1", "step R", "", "close L"], ["2", "hop", "", ""]]
      book = Formats::Xlsx.render([Formats::Table.new(name: "S", columns: ["", "1", "2", "3"], rows:)])
      post "#{path}/preview", { "file" => upload(book, "sheet.xlsx"), "way" => "instead" },
           { "HTTP_X_CSRF_TOKEN" => token }
      expect(text).to include("1 step R · 3 close L").and include "2 eights understood"
      post "#{path}/preview", { "file" => upload("PK\x03\x04no", "x.xlsx") }, { "HTTP_X_CSRF_TOKEN" => token }
      expect([last_response.status, text]).to match [422, /cannot be read as a workbook/]
      sign_in make_member(studio, "choreographer", person: studio.people.create!(name: "Nell", teaches: true))
      expect(get(path).status).to eq 403
    end
  end
end
