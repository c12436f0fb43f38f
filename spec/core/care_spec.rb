# frozen_string_literal: true

require "support/plan_validator"

# What a plan keeps for bodies: warming up again, rests that count other pieces' work, the limit of a day; and for
# memory: last time's new material first, today's to music last.
RSpec.describe Core::Planning do
  def problem(windows:, tasks:, dancers: tasks.flat_map(&:dancers).uniq, **rest)
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers:,
      choreographers: tasks.flat_map(&:choreographers).uniq,
      **rest
    )
  end

  def solve(asked, effort: "quick", **how) = Core::Planning::Solver.new(asked, effort:, **how).plan

  def evening(id, day, to = "20:00", rooms: [["r", 9]])
    window(id, "2027-01-#{format('%02d', day)}", "18:00", to, rooms:)
  end

  def away(who, from, to, day: 4, **more)
    {
      who:,
      date: "2027-01-#{format('%02d', day)}",
      from: Formats::Times.minutes(from),
      to: Formats::Times.minutes(to),
      **more
    }
  end

  def faults(asked, plan)
    PlanValidator.new(
      JSON.parse(Formats::PlanProblem.render(asked)),
      JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: SAY))
    ).faults
  end

  def times(plan) = plan.placements.map { |each| [each.task, each.start, each.end] }

  describe Core::Planning::ReWarms do
    it "comes just before going on, for whoever was idle long enough" do
      spans = {
        "ada" => [[0, 30], [60, 90]],
        "bram" => [[60, 80], [0, 45]],
        "cleo" => [[30, 60]],
        "dora" => [[0, 30], [20, 40], [60, 70]]
      }
      expect(described_class.new(idle: 20, minutes: 5).of(spans)).to eq [[55, %w[ada dora]]]
    end
  end

  describe "warming up again in a plan" do
    # A teacher who comes late keeps Ada idle in between.
    let(:tasks) do
      [
        task("a", "learn", 20, dancers: ["ada"], choreographers: ["early"]),
        task("b", "learn", 40, dancers: ["ada"], choreographers: ["late"])
      ]
    end
    let(:unavailable) { [away("early", "18:20", "20:00"), away("late", "18:00", "18:50")] }

    it "is said with its minute and who, for dancers and not for teachers" do
      plan = solve(problem(windows: [evening("w", 4)], tasks:, unavailable:, rewarm: [20, 5]))
      expect([times(plan), plan.re_warms.map(&:to_h)]).to eq [
        [["a", 0, 20], ["b", 50, 90]],
        [{ window: "w", start: 45, minutes: 5, dancers: ["ada"] }]
      ]
      expect(solve(problem(windows: [evening("w", 4)], tasks:, unavailable:)).re_warms).to eq []
    end

    it "counts as work: a stretch that is just short enough without it has to give way" do
      tight = problem(windows: [evening("w", 4), evening("w2", 11)], tasks:, unavailable:, max_continuous: 40)
      expect(solve(tight).placements.map(&:window)).to eq %w[w w]
      careful = tight.with(rewarm: [20, 5])
      plan = solve(careful)
      expect([plan.complete?, plan.placements.map(&:window), faults(careful, plan)]).to eq [true, %w[w2 w2], []]
    end

    it "is seen when work is taken out that kept somebody warm" do
      frame =
        Core::Planning::IndexedProblem.new(
          problem(
            windows: [evening("w", 4)],
            tasks: [
              task("a", "learn", 20, dancers: ["ada"]),
              task("b", "learn", 10, dancers: ["ada"]),
              task("c", "learn", 40, dancers: ["ada"])
            ],
            max_continuous: 40,
            rewarm: [20, 5]
          )
        )
      table = Core::Planning::Table.new(frame)
      a, b, c = %w[a b c].map { |id| frame.job(id) }
      [[a, 0], [b, 6], [c, 9]].each { |job, start| table.put(job, 0, start, job.steps, 0) }
      before = table.sound?(a.people, 0)
      table.take(b)
      expect([before, table.sound?(a.people, 0), Core::Planning::Table.new(frame).sound?(a.people, 0)]).to eq [
        true,
        false,
        true
      ]
      placements =
        [["a", 0, 20], ["b", 30, 10], ["c", 45, 40]].map do |id, start, minutes|
          Core::Planning::Placement.new(task: id, window: "w", start:, minutes:, room: "r")
        end
      check =
        Core::Planning::MoveCheck.new(frame.problem.with(windows: [evening("w", 4), evening("w2", 11)]), placements)
      expect([check.place("b", "w2"), check.breaks.map(&:kind)]).to eq [nil, [:rest]]
    end

    it "is needed by a later stretch once something comes before it" do
      frame =
        Core::Planning::IndexedProblem.new(
          problem(windows: [evening("w", 4)], tasks:, max_continuous: 40, rewarm: [20, 5])
        )
      table = Core::Planning::Table.new(frame)
      a, b = %w[a b].map { |id| frame.job(id) }
      table.put(b, 0, 10, 8, 0)
      expect((0..6).select { |start| table.bearable?(a.people, 0, start, 4) }).to eq [3, 4, 5]
      expect(Core::Planning::Stretches.new(table.busy(0), rest: 1, most: 40).allow?(a.people, 0, 4)).to be true
    end
  end

  describe "work on other pieces" do
    let(:tasks) { [task("x", "learn", 40, dancers: ["ada"])] }

    it "tires as much as work on this one" do
      asked =
        problem(
          windows: [evening("w", 4, "19:30")],
          tasks:,
          unavailable: [away("ada", "18:00", "18:40", work: true)],
          max_continuous: 55
        )
      expect(times(solve(asked))).to eq [["x", 45, 85]]
      expect(times(solve(asked.with(unavailable: [away("ada", "18:00", "18:40")])))).to eq [["x", 40, 80]]
    end

    it "keeps a dancer warm, and counts for the day" do
      asked =
        problem(
          windows: [evening("w", 4)],
          tasks: [*tasks, task("y", "learn", 10, dancers: ["ada"], after: ["x"])],
          rewarm: [20, 5],
          unavailable: [away("ada", "18:45", "19:15", work: true)]
        )
      plan = solve(asked)
      expect([times(plan), plan.re_warms]).to eq [[["x", 0, 40], ["y", 75, 85]], []]
      expect(solve(asked.with(limits: [{ who: "ada", minutes_per_day: 80 }]))).to be_complete
      expect(solve(asked.with(limits: [{ who: "ada", minutes_per_day: 75 }]))).not_to be_complete
    end
  end

  it "counts warm-up, cool-down and warming up again towards the limit of a day" do
    tasks = [
      task("a", "learn", 20, dancers: ["ada"], choreographers: ["early"]),
      task("b", "learn", 40, dancers: ["ada"], choreographers: ["late"])
    ]
    asked =
      problem(
        windows: [evening("w", 4)],
        tasks:,
        unavailable: [away("early", "18:20", "20:00"), away("late", "18:00", "18:50")],
        rewarm: [20, 5],
        frame_minutes: 20
      )
    fits = [60, 80, 85].map { |most| solve(asked.with(limits: [{ who: "ada", minutes_per_day: most }])).complete? }
    expect(fits).to eq [false, false, true]
  end

  describe "recap first, to music last" do
    let(:windows) { [evening("w1", 4), evening("w2", 6)] }
    let(:tasks) do
      [task("spiral", "learn", 40, dancers: %w[a b], choreographers: ["mirela"], links: [1]),
       task("comb", "learn", 40, dancers: %w[a b], choreographers: ["mirela"], after_window: ["spiral"], links: [2])]
    end
    let(:asked) { problem(windows:, tasks:, recap: 5, to_music: 5) }

    def ends(plan) = plan.bookends.map { |each| [each.kind, each.window, each.start, each.tasks, each.people] }

    it "opens with what was new last time and ends with what is new today" do
      plan = solve(asked)
      expect(ends(plan)).to eq [
        ["to_music", "w1", 40, ["spiral"], %w[a b mirela]],
        ["recap", "w2", 0, ["spiral"], %w[a b mirela]],
        ["to_music", "w2", 45, ["comb"], %w[a b mirela]]
      ]
      expect(
        [
          plan.placements.map(&:start),
          plan.calls.map { |call| [call.window, call.call, call.release] }.uniq,
          faults(asked, plan)
        ]
      ).to eq [[0, 5], [["w1", 0, 45], ["w2", 0, 50]], []]
    end

    it "keeps what stands where it was closed up, when planned again" do
      told = solve(asked).placements
      again = Core::Planning::Replanning.new(asked.with(plan: told), effort: "quick").repair
      expect([again.placements, again.changes.to_h.values, again.bookends.size]).to eq [told, [0, 0, 0], 3]
    end

    it "opens the first rehearsal with what was new in the one behind us, for those who were there and are again" do
      plan =
        solve(
          asked.with(
            dancers: %w[a b c],
            lately: [task("smoke", "learn", 40, dancers: %w[a c]), task("wind", "learn", 40, dancers: %w[c])]
          )
        )
      expect(ends(plan).first).to eq ["recap", "w1", 0, ["smoke"], %w[a]]
    end

    it "keeps nothing free where a chain or a run holds the material anyway" do
      chain = task("chain", "chain", 20, dancers: %w[a b], links: [1, 2], after: ["comb"])
      plan = solve(asked.with(tasks: [*tasks, chain]))
      expect(ends(plan).map { |kind, window,| [kind, window] }).to eq [%w[to_music w1], %w[recap w2]]
      full =
        solve(
          problem(
            windows: [evening("w", 4, "18:45")],
            tasks: [task("run", "run", 45, dancers: ["a"])],
            recap: 5,
            to_music: 5
          )
        )
      expect([full.complete?, full.bookends]).to eq [true, []]
    end

    it "lets those who share nobody dance theirs by themselves, and teachers be elsewhere" do
      tasks = [
        task("spiral", "learn", 30, dancers: %w[a b], choreographers: ["mirela"]),
        task("comb", "learn", 30, dancers: %w[c d], choreographers: ["mirela"])
      ]
      two = problem(windows: [evening("w", 4, "19:20", rooms: [["r", 9], ["s", 9]])], tasks:, to_music: 5)
      plan = solve(two)
      expect([plan.missing_bookends, plan.bookends.map(&:tasks).sort, faults(two, plan)]).to eq [
        [],
        [["comb"], ["spiral"]],
        []
      ]
      expect(plan.calls.reject { |call| call.who == "mirela" }.map(&:waiting)).to all be_zero
    end

    it "sets a full rehearsal anew around it, unless people were told its times" do
      work = [
        task("chain", "chain", 45, dancers: %w[a b], links: [1]),
        task("comb", "learn", 20, dancers: %w[a b], links: [2])
      ]
      told =
        [["chain", 0, 45], ["comb", 50, 20]].map do |id, start, minutes|
          Core::Planning::Placement.new(task: id, window: "w", start:, minutes:, room: "r")
        end
      full =
        problem(
          windows: [evening("w", 4, "19:25")],
          tasks: work,
          recap: 5,
          to_music: 5,
          max_continuous: 50,
          lately: [task("smoke", "learn", 30, dancers: %w[a b], links: [3])]
        )
      anew = Core::Planning::Bookends.new(full, told)
      expect([anew.placements.map { |each| [each.task, each.start] }.sort, anew.missing]).to eq [
        [["chain", 5], ["comb", 55]],
        []
      ]
      expect(anew.all.map { |each| [each.kind, each.start] }).to eq [["recap", 0], ["to_music", 75]]
      kept = Core::Planning::Bookends.new(full, told, fixed: ["w"])
      expect([kept.placements.sort_by(&:start), kept.all.map(&:kind), kept.missing.map(&:kind)]).to eq [
        told,
        ["to_music"],
        ["recap"]
      ]
    end

    it "leaves a rehearsal as it was when there is no room for it at all" do
      work = [
        task("chain", "chain", 30, dancers: %w[a], links: [1]),
        task("run", "run", 30, dancers: %w[a], links: [1])
      ]
      told =
        [["chain", 0, 30], ["run", 30, 30]].map do |id, start, minutes|
          Core::Planning::Placement.new(task: id, window: "w", start:, minutes:, room: "r")
        end
      full =
        Core::Planning::Bookends.new(
          problem(
            windows: [evening("w", 4, "19:00")],
            tasks: work,
            recap: 5,
            max_continuous: 60,
            lately: [task("smoke", "learn", 30, dancers: %w[a], links: [3])]
          ),
          told
        )
      expect([full.placements.sort_by(&:start), full.all, full.missing.size]).to eq [told, [], 1]
    end
  end

  # Several kinds of work in one or two rooms, with everything that is kept for bodies and memory.
  def random_season(random)
    people = %w[a b c d e]
    windows =
      Array.new(random.rand(2..4)) do |i|
        evening(
          "w#{i}",
          (i * 3) + 1,
          %w[19:30 20:00 21:00].sample(random:),
          rooms: [["big", 5], ["small", 3]].first(random.rand(1..2))
        )
      end
    tasks = Array.new(random.rand(3..9)) { |i| random_work(random, i, people) }
    dancers = tasks.flat_map(&:dancers).uniq
    unavailable =
      Array.new(random.rand(0..4)) do
        {
          who: people.sample(random:),
          date: windows.sample(random:).date,
          from: 1110,
          to: 1140,
          **[{ work: true }, { frame: true }, {}].sample(random:)
        }
      end
    problem(
      windows:,
      tasks:,
      dancers:,
      unavailable:
        unavailable.select { |entry| dancers.include?(entry[:who]) }.uniq { |entry| entry.values_at(:who, :date) },
      rewarm: [20, 5],
      frame_minutes: 20,
      recap: [0, 5].sample(random:),
      to_music: [0, 5].sample(random:),
      rests: [[90, 15]],
      limits: [{ who: dancers.first, minutes_per_day: [75, 100].sample(random:) }],
      lately:
        [task("before", "learn", 30, dancers: people.sample(2, random:) & dancers, links: [9])].reject do |each|
          each.dancers.empty?
        end
    )
  end

  def random_work(random, index, people)
    kind = %w[learn learn join chain run].sample(random:)
    task(
      "t#{index}",
      kind,
      random.rand(2..10) * 5,
      dancers: people.sample(random.rand(1..5), random:),
      choreographers: [%w[x y].sample(random:)],
      split: kind == "learn" && random.rand < 0.5,
      after: index.positive? && random.rand < 0.4 ? ["t#{random.rand(index)}"] : [],
      links: [random.rand(1..3)]
    )
  end

  it "breaks no rule of care in any plan, minute by minute" do
    shown = Hash.new(0)
    each_case(40) do |random|
      asked = random_season(random)
      plan = solve(asked)
      expect(faults(asked, plan)).to be_empty
      shown[:ends] += plan.bookends.size
      shown[:warm] += plan.re_warms.size
    end
    expect(shown.values_at(:ends, :warm).min).to be > 5
  end

  it "comes back from its file as it was" do
    each_case(10) do |random|
      asked = random_season(random)
      expect(Formats::PlanProblem.parse(Formats::PlanProblem.render(asked)).first).to eq asked
    end
  end
end

RSpec.describe Core::Values::Tallies do
  it "counts for everybody at once what counting one by one gives" do
    each_case(40) do |random|
      people = random.rand(1..(2**9))
      sums = Hash.new(0)
      tallies = described_class.new(people)
      random.rand(0..12).times do
        set = random.rand(2**9)
        amount = random.rand(0..30)
        tallies.add(set, amount)
        Core::Values::Bits.to_a(set & people).each { |bit| sums[bit] += amount }
      end
      limits = [-1, 0, *sums.values.flat_map { |sum| [sum - 1, sum] }, 500]
      expect(limits.map { |limit| tallies.over(limit) }).to eq(
        limits.map { |limit| Core::Values::Bits.of(Core::Values::Bits.to_a(people).select { |bit| sums[bit] > limit }) }
      )
    end
  end
end
