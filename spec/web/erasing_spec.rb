# frozen_string_literal: true

require "web_helper"
require "support/run_world"
require "support/erasing_form"

# Erasing a person: what goes, what stays, whose name is like theirs, and the work that is called as they are.
RSpec.describe "erasing somebody", :web do
  include ErasingForm

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:grace) { studio.people.create!(name: "Grace Field", dances: true) }

  before do
    piece.castings.create!(studio_id: studio.id, person: grace)
    sign_in director
  end

  def erase(person = grace, **more) = erase_person(person, **more)

  def listed
    get "/people/#{grace.id}/kept"
    Nokogiri::HTML(last_response.body).css(".sentences label").to_h do |label|
      [label.text.squish[/.*?(?=(Notes|Steps|Log|Pieces|Plan|Letters|Studio|Rehearsals|Runs))/].strip,
       !label.at_css("[checked]").nil?]
    end
  end

  def note(text, **more)
    piece.notes.create!(studio:, kind: "fix", about: "piece", text:, by_name: "M", said_at: 1, created_at: NOW,
                        client_id: SecureRandom.hex(8), **more)
  end

  it "lists the sentences that name somebody, unticked where another person or the work may be meant" do
    studio.people.create!(name: "Ada Quill", dances: true)
    section = piece.sections.first
    section.update!(name: "Solo Grace Field")
    section.eights.first.update!(text: "1 step R with grace field, after Grace")
    note("Grace rushes. Gracefully is meant; GRACE  FIELD's arms. All of Solo Grace Field is late")
    expect(listed).to eq(
      "1 step R with «grace field», after «Grace»" => true, "«Grace» rushes." => true,
      "Gracefully is meant; «GRACE FIELD»'s arms." => true, "Solo «Grace Field»" => false
    )
    erase
    expect(section.reload.name).to eq "Solo Grace Field"
    expect(section.eights.first.text).to eq "1 step R with somebody, after somebody"
    expect(studio.notes.last.text)
      .to eq "somebody rushes. Gracefully is meant; somebody's arms. All of Solo Grace Field is late"
  end

  it "takes nothing of others and of the work with a name that is part of theirs" do
    ada = studio.people.create!(name: "Ada", dances: true)
    quill = studio.people.create!(name: "Ada Quill", dances: true)
    piece.update!(title: "Ada Suite")
    group = piece.groups.create!(studio:, name: "Ada's row", number: 9)
    said = note("Ada Quill leads Ada's row in the Ada Suite. Ada waits")
    erase(ada, also: "«Ada» waits")
    expect([quill.reload.name, piece.reload.title, group.reload.name]).to eq ["Ada Quill", "Ada Suite", "Ada's row"]
    expect(said.reload.text).to eq "Ada Quill leads Ada's row in the Ada Suite. somebody waits"
  end

  it "leaves a first name that somebody else bears too, unless it is ticked, and what is unticked" do
    studio.people.create!(name: "Ann Grace", dances: true)
    said = note("Grace rushes. Grace Field does not. A nod to Grace")
    erase(also: "A nod")
    expect(said.reload.text).to eq "Grace rushes. somebody does not. A nod to somebody"
  end

  it "goes by every name somebody had, however its letters are put together, in data as in words" do
    grace.update!(name: "Zoë Field")
    piece.update!(settings: piece.settings.merge("opening" => { "pose" => "\"Grace Field\" \\ Zoe\u0308 Field." }))
    erase
    expect(piece.reload.settings["opening"]["pose"]).to eq "\"somebody\" \\ somebody."
    expect(grace.reload.former_names).to be_empty
  end

  it "asks to look again when something was written meanwhile that names them" do
    send_form "/people/#{grace.id}/erase", { "name" => "Grace Field", "seen" => "another" }
    expect([last_response.status, last_response.body]).to match [422, /Look at the sentences again/]
    expect(grace.reload.erased_at).to be_nil
  end

  it "does it by itself with names of two words, and asks on Home about a first name" do
    studio.update!(settings: { "erase_after" => 5 })
    grace.update!(archived_at: NOW - (6 * 86_400))
    said = note("Grace Field came. Grace rushed")
    App::Jobs::Tidy.run(NOW)
    expect(said.reload.text).to eq "somebody came. Grace rushed"
    expect(get("/").body).to include "“Grace” may be somebody who was erased"
    erase(grace, tail: "names")
    expect([said.reload.text, grace.reload.names_waiting]).to eq ["somebody came. somebody rushed", []]
    expect(get("/").body).not_to include "may be somebody who was erased"
  end

  it "keeps what was agreed of a join whose words held the name" do
    piece.sections.first.eights.last.update!(text: "1 step R with Grace Field")
    piece.touch
    send_form "/pieces/#{piece.id}/joins/1/agree", { "words" => "to Grace Field" }
    before = App::Reading::PieceSnapshots.of(piece.reload).standings.first.state
    erase
    after = App::Reading::PieceSnapshots.of(piece.reload).standings.first
    expect([before, after.state, after.agreement.words]).to eq [:agreed, :agreed, "to somebody"]
  end

  it "takes the file of every clip with them away, one sent for review too, and never serves it again" do
    make_season(studio)
    clip = RunWorld.ids(studio, piece, grace).fetch("review")
    upload = studio.uploads.find(clip)
    path = App::Shared::ClipFile.path(upload)
    expect(File).to exist(path)
    erase
    expect([File.exist?(path), upload.reload.removed_at.nil?]).to eq [false, false]
  end

  it "is learned by every process from the studio's row" do
    snapshot = App::Reading::PieceSnapshots.of(piece)
    said = Core::Movement::GroupWords.of("Grace Field steps", [])
    expect(Core::Movement::GroupWords.of("Grace Field steps", [])).to equal said
    # Another process erased somebody.
    Records::Studio.where(id: studio.id).update_all("forgets = forgets + 1")
    App::Reading::Forgetting.look
    expect(App::Reading::PieceSnapshots.of(piece)).not_to equal snapshot
    expect(Core::Movement::GroupWords.of("Grace Field steps", [])).not_to equal said
  end

  it "touches no other studio" do
    other = make_studio
    theirs = other.people.create!(name: "Grace Field", dances: true)
    erase
    expect([theirs.reload.name, grace.reload.name]).to eq ["Grace Field", "Somebody #{grace.id}"]
  end

  it "takes away notes to them, links, days and yes, and where they are called from now on, not where they were" do
    make_season(studio)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
    note("heels", about: "person", person: grace)
    grace.absences.create!(studio:, from_date: "2027-02-10", to_date: "2027-02-10")
    grace.person_links.issue(studio_id: studio.id)
    RunWorld.make_consent(studio, grace)
    slots = piece.published_plan.slots.includes(:rehearsal).sort_by { |one| one.rehearsal.date }
    behind, ahead = slots.values_at(0, -1).map(&:rehearsal)
    App::Shared::Clock.frozen_at = ahead.date.to_time(:utc) - 86_400
    calls = lambda do |rehearsal|
      studio.slot_people.joins(:slot).where(person_id: grace.id, slots: { rehearsal_id: rehearsal.id }).count
    end
    slots.values_at(0, -1).each do |one|
      one.slot_people.find_or_create_by!(studio_id: studio.id, person_id: grace.id) { |row| row.role = "dancer" }
    end
    before = calls[behind]
    sign_in director
    erase
    notes = studio.notes.where(person_id: grace.id)
    gone = [notes, grace.absences, grace.person_links, studio.consents, grace.castings]
    expect(gone.map(&:count)).to all(eq(0))
    expect([calls[behind], calls[ahead]]).to eq [before, 0]
    expect(grace.reload.archived_at).not_to be_nil
  end

  it "asks for the name as it stands, and for the account to be taken away first" do
    erase(name: "grace field")
    expect([last_response.status, grace.reload.name]).to eq [422, "Grace Field"]
    make_member(studio, "choreographer", person: grace)
    erase
    expect(last_response.body).to include "take their place in the team away first"
    expect(grace.reload.erased_at).to be_nil
  end

  it "is the director's alone" do
    sign_in make_member(studio, "assistant")
    send_form "/people/#{grace.id}/erase", { "name" => "Grace Field" }
    expect([last_response.status, grace.reload.name]).to eq [403, "Grace Field"]
    expect(get("/people/#{grace.id}/kept").status).to eq 403
  end

  describe "every column of every table" do
    let(:list) { App::People::Erasing::WordsKept }
    let(:connection) { Records::Base.connection }

    def tables
      connection.tables.select { |table| connection.columns(table).any? { |column| column.name == "studio_id" } }
    end

    def wordy(table)
      connection.columns(table).select { |column| %i[string text jsonb json].include?(column.type) }.map(&:name)
    end

    it "is in the one list of what can hold a name, or is none that a person writes" do
      named = list.all.group_by(&:second).transform_values { |rows| rows.map(&:last) }
      forgotten = tables.to_h do |table|
        [table, wordy(table) - named.fetch(table, []) - list::MACHINE - list::MACHINE_OF.fetch(table, [])]
      end
      expect(forgotten.reject { |_, columns| columns.empty? }).to be_empty
      expect(named.flat_map { |table, columns| columns.reject { |column| wordy(table).include?(column) } }).to be_empty
    end

    # A row of each table, its constraints aside, with the name in each column of the list.
    it "is without the name afterwards" do
      connection.execute("SET LOCAL session_replication_role = replica")
      checks = connection.select_rows(<<~SQL)
        SELECT conrelid::regclass::text, conname FROM pg_constraint WHERE contype = 'c' AND conrelid > 0
          AND connamespace = 'public'::regnamespace
      SQL
      checks.each { |table, name| connection.execute("ALTER TABLE #{table} DROP CONSTRAINT #{name}") }
      columns = list.all.group_by(&:second).transform_values { |rows| rows.map(&:last) }
      columns.each { |table, names| connection.execute(filled(table, names)) }
      places = App::People::Erasing::Places.new(studio, grace)
      places.rewrite(places.all.map(&:key), "somebody")
      left = columns.flat_map do |table, names|
        names.reject { |name| connection.select_value(<<~SQL).nil? }.map { |name| "#{table}.#{name}" }
          SELECT 1 FROM #{table} WHERE studio_id = #{studio.id} AND "#{name}"::text ILIKE '%grace%' LIMIT 1
        SQL
      end
      expect(left).to be_empty
      expect(columns.sum { |_, names| names.size }).to be > 80
    end

    def filled(table, names)
      values = connection.columns(table).reject { |column| column.name == "id" }.to_h do |column|
        [connection.quote_column_name(column.name), value(column, names)]
      end
      "INSERT INTO #{table} (#{values.keys.join(', ')}) VALUES (#{values.values.join(', ')})"
    end

    def value(column, names)
      return studio.id if column.name == "studio_id"
      return plain(column) unless names.include?(column.name)
      return %q('{"Grace Field": ["a \\"grace field\\"."]}') if column.type == :jsonb

      column.array ? %q('{"Grace Field","and Grace"}') : "'Grace Field'"
    end

    def plain(column)
      return "'{}'" if column.array || column.type == :jsonb
      return "now()" if %i[datetime date].include?(column.type)
      return "'#{SecureRandom.hex(4)}'" if %i[string text].include?(column.type)

      { boolean: "true", decimal: "1" }.fetch(column.type) { rand(1_000_000).to_s }
    end
  end

  it "lets the log change for nothing else" do
    piece.castings.create!(studio_id: studio.id, person: studio.people.create!(name: "Bo", dances: true))
    entry = piece.ledger_entries.create!(
      studio_id: studio.id, person: grace, item_key: "s1", kind: "danced", rung: 1, day: NOW.to_date,
      by_name: "Grace Field", created_at: NOW, seq: 1
    )
    expect { Records::Base.transaction(requires_new: true) { entry.update_columns(rung: 5) } }
      .to raise_error(ActiveRecord::StatementInvalid, /append-only/)
    erase
    expect(entry.reload.slice(:rung, :by_name, :person_id).values).to eq [1, "somebody", grace.id]
  end
end
