# frozen_string_literal: true

require "web_helper"
require "support/run_world"

# Where things of runs lie when the piece changes, what a run with stops comes to, and two tablets that say things in
# any order.
RSpec.describe "places of runs", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }

  before { make_season(studio) }

  def links = piece.reload.links.to_a

  def book
    order = App::Reading::PieceSnapshots.of(Records::Piece.find(piece.id)).work.order
    Records::Mapping::Runs.new(piece.reload, order)
  end

  # A run that says these steps: [kind, link, eight, count].
  def run_with(*steps, from: 1, row: 1)
    about = { studio:, piece:, rehearsal:, kind: "stumble", speed: 100, row:, minute: 1100 }
    places = { link_id: links[from - 1].id, to_link_id: links.last.id }
    run = Records::Run.create!(**RunWorld.said("run-#{SecureRandom.hex(4)}"), **about, **places)
    steps.each_with_index { |step, i| step_of(run, step, i) }
    run
  end

  def step_of(run, step, number)
    kind, link, row, count = step
    place = { link_id: links[link - 1].id, row:, at: (count - 1) * 12 }
    said = RunWorld.said("step-#{run.id}-#{number}")
    Records::RunStep.create!(**said, studio:, run:, kind:, **place, minute: 1100 + number)
  end

  def stretches(run) = book.run(run)&.stretches

  it "knows what was danced in one go from what was said: begun, stopped, gone on, ended" do
    # Opening Walk 4 eights (1-32), Spiral 3 eights + 4 (33-60), Opening Walk (61-92), Spiral (93-120).
    cases = {
      [["end", 4, 4, 4]] => [[1, 120]],
      [["stop", 2, 1, 8], ["go", 2, 1, 1], ["end", 2, 4, 4]] => [[1, 40], [33, 60]],
      [["stop", 2, 1, 8], ["go", 1, 1, 1], ["stop", 1, 4, 8], ["go", 1, 4, 1], ["end", 3, 4, 8]] =>
        [[1, 40], [1, 32], [25, 92]],
      [["stop", 1, 2, 3], ["end", 1, 2, 3]] => [[1, 11]],
      [["stop", 1, 2, 3], ["stop", 1, 2, 5]] => [[1, 11]],
      [["stop", 1, 2, 3], ["go", 3, 1, 1]] => [[1, 11]]
    }
    cases.each { |steps, wanted| expect([steps, stretches(run_with(*steps))]).to eq [steps, wanted] }
    expect(stretches(run_with(["end", 3, 1, 8], from: 3))).to eq [[61, 68]]
    expect(stretches(run_with)).to be_nil
  end

  it "keeps a spot at its link when the order changes, and only its words when the link is gone" do
    run = run_with(["end", 4, 4, 4])
    trouble = RunWorld.make_trouble(run, link: links.second, row: 2, count: 3)
    expect(book.count(trouble)).to eq 43
    sign_in director
    structure = "Gate, 2 eights, Odalys\n#{Studios::LINES}"
    version = piece.reload.lock_version.to_s
    send_form "/pieces/#{piece.id}/structure", { "lock_version" => version, "structure" => structure }
    expect(last_response).to be_redirect
    expect(links.size).to eq 5
    expect(book.count(trouble)).to eq 59
    expect(get("/pieces/#{piece.id}/runs/#{run.id}").body).to include "Spiral (1 of 2), eight 2, count 3"
    trouble.update_columns(link_id: 0)
    body = get("/pieces/#{piece.id}/runs/#{run.id}").body
    expect(body).to include("Gate, eight 2, count 3").and include("not in the piece any more")
    expect(get("/pieces/#{piece.id}/runs").status).to eq 200
  end

  it "keeps a spot inside its eight when the eight becomes shorter" do
    run = run_with(["end", 4, 4, 4])
    trouble = RunWorld.make_trouble(run, link: links.first, row: 4, count: 8)
    piece.sections.first.eights.to_a.last.update!(counts: 4)
    piece.touch
    App::Reading::PieceSnapshots.clear
    expect(book.count(trouble).floor).to eq 28
  end

  describe "two tablets" do
    let(:slot) { rehearsal.slots.order(:start_minute).find(&:work?) }

    before do
      App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
      sign_in director
    end

    def send_entries(entries)
      send_json "/rehearsals/#{rehearsal.id}/entries", { entries: }
      JSON.parse(last_response.body)["entries"].map { |each| each["status"] }
    end

    def entry(kind, client, at, **more)
      { client: client.to_s.rjust(12, "0"), kind:, at: (NOW.to_f * 1000).to_i - 10_000 + at, minute: slot.start_minute,
        slot: slot.id, **more }
    end

    # What is said of one run, in the order in which it was said.
    def said(random)
      run = "r".rjust(12, "0")
      spots = Array.new(random.rand(1..3)) do |i|
        entry("trouble", "t#{i}", 10 + i, run:, link: links.first.id, row: random.rand(1..4), twelfths: 0)
      end
      words = Array.new(random.rand(1..6)) do |i|
        kind_of = Core::Running::Trouble::KINDS.sample(random:)
        people = dancers.sample(random.rand(0..2), random:).map(&:id).join(" ")
        entry("word", "w#{i}", 100 + i, of: spots.sample(random:)[:client], kind_of:, people:,
                                        everyone: random.rand < 0.5)
      end
      start = entry("run", "r", 0, run_kind: "music", link: links.first.id, to: links.last.id, speed: 100, music: true)
      finish = entry("run_step", "e", 500, run:, step: "end", link: links.last.id, row: 4, twelfths: 36)
      [start, *spots, *words, finish]
    end

    def outcome
      spots = piece.troubles.standing.order(:client_id).map do |one|
        [one.client_id, one.kind, one.everyone, one.trouble_people.map(&:person_id).sort]
      end
      back = piece.ledger_entries.where.not(undoes_id: nil).select(:undoes_id)
      ran = piece.ledger_entries.where(kind: "ran").where.not(id: back).order(:person_id, :item_key)
      [spots, ran.pluck(:person_id, :item_key, :rung)]
    end

    def forgotten
      found = nil
      Records::Base.transaction(requires_new: true) do
        found = yield
        raise ActiveRecord::Rollback
      end
      App::Reading::PieceSnapshots.clear
      found
    end

    it "come to the same in whatever order what they say arrives, and however often" do
      links
      each_case(6) do |random|
        start, *rest = said(random)
        straight = forgotten { send_entries([start, *rest]) && outcome }
        spots, others = rest.partition { |one| one[:kind] == "trouble" }
        mixed = forgotten do
          send_entries([start, *spots.shuffle(random:)])
          others.shuffle(random:).each_slice(2) { |some| send_entries(some) }
          send_entries(rest.shuffle(random:))
          outcome
        end
        expect(mixed).to eq straight
        expect(straight.first.size).to eq spots.size
      end
    end
  end
end
