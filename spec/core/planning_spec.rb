# frozen_string_literal: true

require "support/plan_validator"

RSpec.describe Core::Planning::CallOrder do
  it "proves 17 for the nine-piece, five-player instance of the literature" do
    answer =
      described_class.new([2, 4, 1, 3, 3, 2, 5, 7, 6], %w[110101101 110111010 110000110 100011001 001011110]).best
    expect([answer.waiting, answer.proven, answer.order.sort]).to eq [17, true, (1..9).to_a]
  end

  it "agrees with full enumeration" do
    each_case(25) do |random|
      items = random.rand(2..6)
      durations = Array.new(items) { random.rand(1..9) }
      calls = Array.new(random.rand(1..5)) { Array.new(items) { random.rand(2) }.join }
      least = (0...items).to_a.permutation.map do |order|
        calls.sum do |row|
          at = order.each_index.select { |i| row[order[i]] == "1" }
          if at.empty?
            0
          else
            order[at.first..at.last].sum { |item| row[item] == "1" ? 0 : durations[item] }
          end
        end
      end.min
      expect(described_class.new(durations, calls).best.waiting).to eq least
    end
  end
end

RSpec.describe Core::Planning::Solver do
  def problem(windows:, tasks:, **rest)
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers: tasks.flat_map(&:dancers).uniq,
      choreographers: tasks.flat_map(&:choreographers).uniq,
      **rest
    )
  end

  def random_problem(random)
    people = %w[a b c d e f]
    windows = Array.new(random.rand(2..5)) do |i|
      window(
        "w#{i}",
        "2027-01-#{format('%02d', (i * 3) + 1)}",
        "18:00",
        %w[19:00 20:00 20:30].sample(random:),
        rooms: [["big", 6], ["small", 3]].first(random.rand(1..2))
      )
    end
    tasks = Array.new(random.rand(2..9)) { |i| random_task(random, i, people) }
    away =
      Array.new(random.rand(0..3)) do
        { who: people.sample(random:), date: windows.sample(random:).date, from: [nil, 1110].sample(random:), to: nil }
      end
    problem(
      windows:,
      tasks:,
      unavailable: away.select { |entry| tasks.flat_map(&:dancers).include?(entry[:who]) },
      most_new_eights: [nil, 4].sample(random:)
    )
  end

  def random_task(random, index, people)
    task(
      "t#{index}",
      "learn",
      random.rand(2..12) * 5,
      dancers: people.sample(random.rand(1..6), random:),
      choreographers: [%w[x y].sample(random:)],
      split: random.rand < 0.5,
      after: index.positive? && random.rand < 0.4 ? ["t#{random.rand(index)}"] : [],
      after_window: index.positive? && random.rand < 0.15 ? ["t#{random.rand(index)}"] : [],
      eights: random.rand(0..5)
    )
  end

  it "breaks no hard rule, on any problem" do
    each_case(50) do |random|
      asked = random_problem(random)
      plan = described_class.new(asked, effort: "quick", seed: random.rand(100)).plan
      faults =
        PlanValidator.new(
          JSON.parse(Formats::PlanProblem.render(asked)),
          JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: SAY))
        ).faults
      expect(faults).to be_empty
    end
  end

  it "makes a rest before anybody works longer than allowed" do
    tasks = [task("a", "learn", 50, dancers: ["d"]), task("b", "learn", 30, dancers: ["d"])]
    plan = described_class.new(problem(windows: [window("w", "2027-01-01", "18:00", "20:00")], tasks:)).plan
    expect(plan.placements.map { |p| [p.task, p.start, p.minutes] }).to eq [["a", 0, 50], ["b", 55, 30]]
    expect(plan.calls.map { |c| [c.who, c.call, c.release, c.waiting] }).to eq [["d", 0, 85, 5]]
  end

  it "spreads new material so that nobody takes in more than the cap in one rehearsal" do
    tasks = [task("learn", "learn", 60, split: true, eights: 6, dancers: ["d"])]
    windows = [window("w1", "2027-01-01", "18:00", "20:00"), window("w2", "2027-01-03", "18:00", "20:00")]
    plan = described_class.new(problem(windows:, tasks:, most_new_eights: 4)).plan
    expect(plan.placements.map { |p| [p.window, p.minutes] }).to eq [["w1", 40], ["w2", 20]]
  end

  it "gives the same plan for the same seed, and the best so far when it is stopped" do
    asked = random_problem(Random.new(5))
    plans = [
      described_class.new(asked, seed: 3, effort: "quick").plan,
      described_class.new(asked, seed: 3, effort: "quick").plan,
      described_class.new(asked, stop: -> { true }).plan
    ]
    expect(plans[0].placements).to eq plans[1].placements
    expect([plans[2].stopped_by, plans[2].unplaced_minutes]).to eq ["stop", plans[0].unplaced_minutes]
  end

  it "refuses tasks that wait for each other in a circle" do
    tasks = [task("a", "learn", 10, after: ["b"]), task("b", "learn", 10, after: ["a"])]
    expect { described_class.new(problem(windows: [], tasks:)).plan }.to raise_error(Core::CircularTasks, /a, b/)
  end
end

RSpec.describe Core::Planning::Schools::AddOn do
  let(:one) { section(1, 8, 8, choreographer: 7) }
  let(:two) { section(2, 8, choreographer: 8) }
  let(:piece) do
    work(
      link(one),
      link(two),
      link(one, mirrored: true),
      link(two, id: 4, changes: Core::Piece::Changes.new(replace: { 1 => rows(8).first }))
    )
  end
  let(:items) { Core::Learning::Items.new(piece, cast: { a: [], b: [] }) }

  it "learns, joins and chains from the top, each distinct join once, then the runs in later rehearsals" do
    tasks = described_class.new(piece, items:, runs: 3).tasks
    expect(tasks.map(&:id)).to eq %w[
      learn-s1
      learn-s2
      join-j1-2
      join-j2-1m
      chain-1-3
      difference-d4
      join-j1m-2x4
      chain-1-4
      join-o
      join-e
      run-1
      run-2
      run-3
    ]
    expect(tasks.find { |t| t.id == "join-j1-2" }.after).to eq %w[learn-s1 learn-s2]
    expect(tasks.last(3).map(&:title)).to eq %w[stumble music full_out]
    expect(tasks.last.after_window).to eq ["run-1"]
  end

  it "leaves out what is learned and shortens what is half there" do
    cells = { [:a, "s1"] => 4, [:b, "s1"] => 4, [:a, "s2"] => 3, [:a, "j1-2"] => 2, [:b, "j1-2"] => 3 }
    progress = progress_of(cells)
    tasks = described_class.new(piece, items:, progress:, runs: 1, done_runs: 1).tasks
    expect(tasks.map(&:id)).to eq %w[learn-s2 join-j2-1m chain-1-3 difference-d4 join-j1m-2x4 chain-1-4 join-o join-e]
    expect(tasks.first.minutes).to be <
      described_class.new(piece, items:, runs: 1).tasks.find { |t| t.id == "learn-s2" }.minutes + 1
    expect(tasks.first.eights).to eq 0.5
  end
end
