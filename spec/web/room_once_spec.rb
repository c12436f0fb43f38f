# frozen_string_literal: true

require "web_helper"
require "support/concurrently"

# Once only, for every kind of entry that the room sends: twice at once it is stored and a duplicate; what is undone is
# as it was before; one that cannot be read is refused alone.
RSpec.describe "what the room says", :committed, :web do
  include Concurrently

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }
  let(:lesson) { rehearsal.slots.order(:start_minute).find(&:lesson?) }
  let(:item) { "s#{lesson.section_ids.first}" }
  let(:links) { piece.links.to_a }

  before do
    make_season(studio)
    local = studio.local(NOW)
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, local).run, NOW).run
  end

  def entry(kind, client, **more)
    { "client" => client.to_s.rjust(12, "0"), "kind" => kind, "at" => (NOW.to_f * 1000).to_i, "minute" => 1085,
      "slot" => lesson.id, **more.transform_keys(&:to_s) }
  end

  def take(*entries, of: rehearsal)
    App::Room::Actions::TakeIn.new(of, director, entries, studio.local(NOW)).run.map { |each| each[:status] }
  end

  # One of each kind, in an order in which each finds what it is about.
  def every_kind
    run = { run: "run".rjust(12, "0") }
    at = { link: links.first.id, row: 1, twelfths: 12 }
    [
      entry("here", "here", person: dancers[0].id, state: "present"),
      entry("newcomer", "newcomer", name: "Newly Come"),
      entry("step", "step", step: "begin"),
      entry("pass", "pass", from: 1, to: 1, speed: 100),
      entry("tick", "tick", cells: "#{dancers[0].id}:#{item}", rung: "3"),
      entry("note", "note", note: "promise", text: "the lift"),
      entry("answer", "answer", of: "note".rjust(12, "0")),
      entry("run", "run", run_kind: "music", link: links.first.id, to: links.last.id),
      entry("trouble", "trouble", **run, **at),
      entry("word", "word", of: "trouble".rjust(12, "0"), kind_of: "timing", people: dancers[0].id.to_s),
      entry("run_step", "runstep", step: "end", **run, **at, link: links.last.id)
    ]
  end

  # What is in the studio of what the room says, without the log's own lines.
  def kept
    [studio.attendance_entries.count, studio.people.present.count, studio.evening_steps.count, studio.passes.count,
     studio.notes.where(taken_back_at: nil, answered_at: nil).count, studio.runs.count, studio.run_steps.count,
     studio.troubles.where(taken_back_at: nil).pluck(:kind), studio.trouble_people.count]
  end

  it "is every kind that there is, and each of them stored once where two send it at the same moment" do
    expect(every_kind.map { |each| each["kind"] } + ["undo"]).to match_array App::Room::Actions::TakeIn::KINDS.keys
    every_kind.each do |each|
      answers = Queue.new
      together(*Array.new(2) { ->(_) { answers << take(each).first } })
      expect([answers.pop, answers.pop]).to contain_exactly(:stored, :duplicate), each["kind"]
    end
    before = kept
    expect(take(*every_kind).uniq).to eq [:duplicate]
    expect(kept).to eq before
  end

  it "comes to one of each, whichever order two devices send the same in" do
    each_case(3) do |random|
      round = random.rand(16**8).to_s(16).rjust(8, "0")
      said = every_kind.first(6).map { |each| each.merge("client" => "#{round}#{each['client'][4..]}") }
      answers = Queue.new
      orders = Array.new(2) { said.shuffle(random:) }
      together(*orders.map { |order| ->(_) { order.each { |each| answers << [each["client"], take(each).first] } } })
      stored = Array.new(answers.size) { answers.pop }.select { |_, status| status == :stored }.map(&:first)
      expect(stored).to match_array(said.map { |each| each["client"] })
    end
  end

  it "is undone, every kind, by two that send it at once, and then is as if it had not been said" do
    take(*every_kind)
    undo_with = { "answer" => { note: "note".rjust(12, "0") }, "word" => { trouble: "trouble".rjust(12, "0") } }
    every_kind.reverse_each do |each|
      undo = entry("undo", "un#{each['client'].delete('0')}", of: each["client"], was: each["kind"],
                                                              **undo_with.fetch(each["kind"], {}))
      answers = Queue.new
      together(*Array.new(2) { ->(_) { answers << take(undo).first } })
      both = [answers.pop, answers.pop]
      expect(both).to contain_exactly(:stored, :duplicate), "#{each['kind']}: #{both}"
      expect(studio.troubles.pick(:kind)).to be_nil if each["kind"] == "word"
      expect(studio.notes.where(answered_at: nil).count).to eq 1 if each["kind"] == "answer"
    end
    expect(studio.people.present.exists?(name: "Newly Come")).to be false
    expect(studio.notes.where(taken_back_at: nil).count + studio.troubles.where(taken_back_at: nil).count).to eq 0
    progress = Records::Mapping::Learnings.progress(piece.reload)
    expect(progress.rung(dancers[0].id, item)).to eq 0
  end

  it "is undone in its own rehearsal and in no other" do
    take(*every_kind)
    other = studio.rehearsals.create!(date: rehearsal.date, start_minute: 600, end_minute: 700)
    undos = every_kind.reject { |each| each["kind"] == "newcomer" }.map do |each|
      entry("undo", "un#{each['client'].delete('0')}", of: each["client"], was: each["kind"],
                                                       note: "note".rjust(12, "0"), trouble: "trouble".rjust(12, "0"))
    end
    before = kept
    expect(take(*undos, of: other).uniq).to eq [:refused]
    expect(kept).to eq before
  end

  it "is refused alone where half a letter pair or a number beyond all range is in it" do
    sign_in director
    odd = [entry("note", "a", note: "fix", text: "\u0001"), entry("note", "b", note: "fix", text: "fine"),
           entry("step", "c", step: "shorten", minutes: 10**30), entry("here", "d", person: 10**40, state: "present"),
           entry("note", "e", note: "fix", text: "fine too")]
    body = { entries: odd }.to_json.sub('"\u0001"') { '"\ud800 half"' }.sub(/"minutes":10+/, '"minutes":1e400')
    post "/rehearsals/#{rehearsal.id}/entries", body,
         { "CONTENT_TYPE" => "application/json", "HTTP_ACCEPT" => "application/json", "HTTP_X_CSRF_TOKEN" => token }
    answers = JSON.parse(last_response.body)["entries"].map { |each| each["status"] }
    expect([last_response.status, answers]).to eq [200, %w[refused stored refused refused stored]]
  end

  it "is told that one is signed out, in JSON, where a member was taken out of the team" do
    other = make_member(studio, "assistant")
    sign_in other
    App::Studio::Actions::ChangeRole.new(other, { "role" => "remove" }).run
    send_json "/rehearsals/#{rehearsal.id}/entries", { entries: [] }
    expect([last_response.status, JSON.parse(last_response.body)]).to eq [401, { "signed_out" => true }]
  end
end
