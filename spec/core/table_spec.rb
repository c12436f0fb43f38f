# frozen_string_literal: true

# The parts of the planner one by one: what the table knows, what a block costs, where a job can go, what a bound says.
RSpec.describe Core::Planning::Table do
  let(:tasks) do
    [
      task("a", "learn", 20, dancers: %w[ada bram], split: true),
      task("b", "learn", 15, dancers: %w[bram cleo], choreographers: ["mirela"]),
      task("c", "join", 10, dancers: %w[ada bram cleo], after: %w[a b]),
      task("run", "run", 20, dancers: %w[ada bram cleo], after: ["c"], after_window: ["a"])
    ]
  end
  let(:windows) do
    [
      window("w0", "2027-01-04", "18:00", "19:00", rooms: [["big", 9], ["small", 2]]),
      window("w1", "2027-01-06", "18:00", "19:00", rooms: [["big", 9]])
    ]
  end
  let(:asked) do
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers: %w[ada bram cleo],
      choreographers: ["mirela"],
      trip_cost: 10,
      min_part: 10,
      unavailable: [
        { who: "ada", date: "2027-01-04", from: 1080, to: 1090 },
        { who: "big", date: "2027-01-06", from: 1130, to: 1140 }
      ]
    )
  end
  let(:frame) { Core::Planning::IndexedProblem.new(asked) }
  let(:table) { described_class.new(frame) }

  def job(id) = frame.job(id)
  def put(id, window, start, room = 0, steps: job(id).steps) = table.put(job(id), window, start, steps, room)
  def bits(*steps) = Core::Values::Bits.of(steps)

  describe "the frame of a problem" do
    it "knows who is there when, which rooms hold a job, and how long the rest still takes" do
      expect(frame.open(job("a"), 0)).to eq bits(*(2..11))
      expect(frame.open(job("b"), 0)).to eq bits(*(0..11))
      expect([frame.rooms(job("a"), 0), frame.rooms(job("c"), 0), frame.rooms(job("c"), 1)]).to eq [[1, 0], [0], [0]]
      expect(frame.jobs.map { |each| [each.id, each.tail, each.urgent] }).to eq [
        ["a", 10, true],
        ["b", 9, true],
        ["c", 6, true],
        ["run", 4, true]
      ]
      expect(frame.in_order.map(&:id)).to eq %w[a b c run]
    end

    it "leaves out what is done, and what is past" do
      less = Core::Planning::IndexedProblem.new(asked.with(done: { "a" => 20, "b" => 5 }, now: "w1"))
      expect([less.jobs.map { |each| [each.id, each.steps] }, less.windows.map(&:id)]).to eq [
        [["b", 2], ["c", 2], ["run", 4]],
        ["w1"]
      ]
      expect(less.job("run").after_window).to eq []
    end
  end

  it "is what it was when a job is taken and put back" do
    put("a", 0, 2)
    put("b", 0, 6)
    before = [table.cost, table.busy(0).dup, table.left.dup, table.week_steps.dup]
    blocks = table.take(job("b"))
    expect([table.placed?(job("b")), table.unplaced]).to eq [false, 3 + 2 + 4]
    table.put_back(job("b"), blocks)
    expect([table.cost, table.busy(0), table.left, table.week_steps]).to eq before
  end

  it "counts trips and waiting: everybody's time between first and last work that is not work" do
    put("a", 0, 2)
    expect(table.cost).to eq 2 * 10
    put("b", 0, 9)
    # bram and cleo and mirela come for b; bram waits from 30 to 45 minutes.
    expect(table.cost).to eq (4 * 10) + 15
    expect([table.window_cost(0), table.window_cost(1)]).to eq [55, 0]
  end

  it "finds starts of enough free steps in a row, by doubling" do
    free = bits(0, 1, 2, 4, 5, 6, 7, 8, 11)
    (1..6).each do |steps|
      expect(described_class.runs(free, steps)).to eq(
        bits(*(0..11).select { |at| (at...(at + steps)).all? { |step| free[step] == 1 } })
      )
    end
  end

  it "knows who and what is free around what is there" do
    put("a", 0, 4, 1)
    expect(table.free(job("b"), 0)).to eq bits(0, 1, 2, 3, 8, 9, 10, 11)
    expect(table.free(job("c"), 0)).to eq bits(2, 3, 8, 9, 10, 11)
    expect(table.room_starts(job("a"), 0, 4)[4]).to eq 1
    put("b", 0, 8)
    expect(
      [table.room_at(job("a"), 0, 8, 3), table.room_free?(0, 0, bits(8)), table.room_free?(1, 0, bits(10))]
    ).to eq [1, false, false]
  end

  it "lets nobody work longer than allowed, or more in a day than their limit" do
    strict = asked.with(max_continuous: 30, limits: [{ who: "bram", minutes_per_day: 40 }])
    other = described_class.new(Core::Planning::IndexedProblem.new(strict))
    a, b = %w[a b].map { |id| other.frame.job(id) }
    other.put(a, 0, 2, 4, 0)
    expect([other.bearable?(b.people, 0, 6, 3), other.bearable?(b.people, 0, 7, 3)]).to eq [false, true]
    other.put(b, 0, 7, 3, 0)
    expect([0, 1].map { |window| other.bearable?(other.frame.job("c").people, window, 0, 2) }).to eq [false, true]
  end

  it "caps what is new for each dancer in a rehearsal" do
    capped = asked.with(most_new_eights: 3, tasks: tasks.map { |each| each.id == "run" ? each : each.with(eights: 4) })
    other = described_class.new(Core::Planning::IndexedProblem.new(capped))
    a, b = %w[a b].map { |id| other.frame.job(id) }
    expect(other.room_for_new(a, 0)).to eq 3
    other.put(a, 0, 2, 2, 0)
    expect([other.room_for_new(b, 0), other.room_for_new(b, 1)]).to eq [0, 2]
  end

  describe "the price of a block" do
    it "is what the block adds to the cost, start by start" do
      put("a", 0, 4, 1)
      all = described_class.runs(table.free(job("b"), 0), 3)
      added = Core::Planning::AddedCost.new(frame, table.evenings.first, job("b").people, 3)
      told = Core::Values::Bits.to_a(all).to_h { |start| [start, added.at(start)] }
      before = table.cost
      told.each do |start, price|
        put("b", 0, start)
        expect([start, table.cost - before]).to eq [start, price]
        table.take(job("b"))
      end
    end
  end

  describe "where a job can go" do
    subject(:places) { Core::Planning::Places.new(table) }

    it "goes no earlier than what a job waits for, no later than what waits for it, and not at all before that is " \
       "placed" do
      expect(places.bounds(job("c"), 1)).to be_nil
      put("a", 0, 2)
      put("b", 0, 6)
      expect(places.bounds(job("c"), 1)).to eq [9, 4096 + 12]
      put("c", 1, 3)
      expect([places.bounds(job("run"), 1), places.bounds(job("run"), 0)]).to eq [[4096 + 5, 4096 + 12], [4096 + 5, 12]]
      table.take(job("a"))
      expect(places.bounds(job("a"), 1)).to eq [0, 4096 + 3]
    end

    it "puts a job early, or where it costs least" do
      places.early(job("a"), [0, 4096 + 12])
      expect(table.blocks[job("a").at].map { |each| each.to_a[1, 4] }).to eq [[0, 2, 4, 1]]
      places.cheap(job("b"), [0, 4096 + 12])
      expect(table.blocks[job("b").at].first.then { |block| [block.window, block.start] }).to eq [0, 6]
      expect(places.early(job("run"), [0, 3])).to be false
    end
  end

  describe "the bound" do
    it "is never later than what is found, and tells when nothing can fit" do
      expect(Core::Planning::Bound.new(frame).ready).to eq 1
      each_case(20) do |random|
        away =
          Array.new(random.rand(0..3)) do
            {
              who: %w[ada bram cleo].sample(random:),
              date: windows.sample(random:).date,
              from: [nil, 1100].sample(random:),
              to: nil
            }
          end
        given = asked.with(unavailable: away)
        plan = Core::Planning::Solver.new(given, effort: "quick").plan
        next unless plan.complete?

        expect(Core::Planning::Bound.new(Core::Planning::IndexedProblem.new(given)).ready).to be <=
          windows.index { |each| each.id == plan.ready_window }
      end
      nobody = asked.with(unavailable: windows.map { |each| { who: "ada", date: each.date, from: nil, to: nil } })
      expect(Core::Planning::Bound.new(Core::Planning::IndexedProblem.new(nobody)).ready).to eq 2
    end
  end

  describe "a move by hand" do
    let(:placements) do
      [
        ["a", "w0", 10, 20],
        ["b", "w0", 30, 15],
        ["c", "w0", 45, 10],
        ["run", "w1", 0, 20]
      ].map do |id, at, start, minutes|
        Core::Planning::Placement.new(task: id, window: at, start:, minutes:, room: "big")
      end
    end

    def check(id, to, given = asked)
      checked = Core::Planning::MoveCheck.new(given, placements)
      [checked.place(id, to), checked.breaks.map { |found| [found.kind, found.who, found.tasks] }]
    end

    it "finds the first place that breaks nothing" do
      place, breaks = check("run", "w1")
      expect([place.start, place.room, breaks]).to eq [0, "big", []]
    end

    it "names what stands against it" do
      expect(check("run", "w0").last).to include([:before, [], ["a"]])
      expect(check("a", "w1").last).to include([:after, [], %w[c run]])
      expect(
        check("b", "w1", asked.with(unavailable: [{ who: "cleo", date: "2027-01-06", from: nil, to: nil }])).last
      ).to include([:away, ["cleo"], []])
      small = asked.with(windows: [windows.first, windows.last.with(rooms: [["cupboard", 1]])])
      expect(check("run", "w1", small).last.map(&:first)).to include(:room)
      expect(check("run", "nowhere").last.map(&:first)).to eq [:long]
    end
  end

  describe "what changes for people" do
    it "counts new and cancelled calls and shifted slots against what people were told" do
      told = [
        Core::Planning::Placement.new(task: "a", window: "w0", start: 10, minutes: 20, room: "big"),
        Core::Planning::Placement.new(task: "b", window: "w1", start: 0, minutes: 15, room: "big")
      ]
      put("a", 0, 3)
      put("b", 0, 7)
      expect(Core::Planning::Disturbance.new(frame, told).of(table).to_h).to eq(new_calls: 2, cancelled: 3, shifted: 2)
      table.take(job("a"))
      table.take(job("b"))
      put("a", 0, 2)
      put("b", 1, 0)
      expect(Core::Planning::Disturbance.new(frame, told).price(table)).to eq 0
    end
  end
end
