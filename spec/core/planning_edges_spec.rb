# frozen_string_literal: true

# Where planning turns from yes to no: the last step of a rehearsal, the last minute of an absence, the third of a list.
RSpec.describe Core::Planning do
  def evening(id, day, to = "19:00", rooms: [["hall", 9]])
    window(id, "2027-01-#{format('%02d', day)}", "18:00", to, rooms:)
  end

  def at(task, window, start, minutes: 30, room: "hall")
    Core::Planning::Placement.new(task:, window:, start:, minutes:, room:)
  end

  def problem(tasks, windows: [evening("w1", 4), evening("w2", 11)], **rest)
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers: tasks.flat_map(&:dancers).uniq,
      choreographers: tasks.flat_map(&:choreographers).uniq,
      max_continuous: 100,
      **rest
    )
  end

  describe Core::Planning::Replanning do
    let(:waltz) { task("waltz", "learn", 30, dancers: ["Ada"]) }
    let(:run) { task("run", "run", 30, dancers: %w[Ada Bram], after: ["waltz"]) }

    def kept(told, tasks: [waltz, run], **changed)
      plan = described_class.new(problem(tasks, plan: told, **changed), effort: "quick").repair
      told.select { |each| plan.placements.include?(each) }.map { |each| [each.task, each.window, each.start] }
    end

    it "keeps what lies up to the last minute of a rehearsal, right after what it waits for, as large as the room" do
      told = [at("waltz", "w1", 0), at("run", "w1", 30)]
      expect(kept(told, windows: [evening("w1", 4, rooms: [["hall", 2]]), evening("w2", 11)])).to eq [
        ["waltz", "w1", 0],
        ["run", "w1", 30]
      ]
    end

    it "gives up what no longer fits: the rehearsal is shorter, the room smaller or gone, the order wrong, " \
       "somebody there too late" do
      told = [at("waltz", "w1", 0), at("run", "w1", 30)]
      expect(kept(told, windows: [evening("w1", 4, "18:55"), evening("w2", 11)])).to eq [["waltz", "w1", 0]]
      expect(kept(told, windows: [evening("w1", 4, rooms: [["hall", 1]]), evening("w2", 11)])).to eq [
        ["waltz", "w1", 0]
      ]
      expect(kept(told, windows: [evening("w1", 4, rooms: [["loft", 9]]), evening("w2", 11)])).to eq []
      expect(kept([at("waltz", "w1", 30), at("run", "w1", 0)])).to eq [["waltz", "w1", 30]]
      expect(kept(told, unavailable: [{ who: "Bram", date: "2027-01-04", from: nil, to: 1115 }])).to eq [
        ["waltz", "w1", 0]
      ]
      expect(kept(told, unavailable: [{ who: "Bram", date: "2027-01-04", from: nil, to: 1110 }])).to eq [
        ["waltz", "w1", 0],
        ["run", "w1", 30]
      ]
    end

    it "puts nobody with wheels into a room that is reached by steps, and says why where there is no other" do
      loft = [["loft", 9], ["hall", 9]]
      told = [at("waltz", "w1", 0, room: "loft")]
      careful = { stepped: ["loft"], wheels: ["Ada"] }
      windows = [evening("w1", 4, rooms: loft)]
      asked = problem([waltz], windows:, plan: told, **careful)
      plan = described_class.new(asked, effort: "quick").repair
      expect(plan.placements.map(&:room)).to eq ["hall"]
      expect(Core::Planning::PlanConflicts.new(asked, told).all.map { |each| [each.kind, each.who] })
        .to eq [[:steps, ["Ada"]]]
      only = problem([waltz], windows: [evening("w1", 4, rooms: [["loft", 9]])], **careful)
      lost = Core::Planning::Solver.new(only, effort: "quick").plan
      expect(lost.placements).to be_empty
      reason = lost.reasons.first
      expect([reason.unit, reason.who, reason.have]).to eq [:steps, ["Ada"], 0]
    end

    it "keeps the part of a lesson that is still needed, no more" do
      long = task("waltz", "learn", 45, split: true, dancers: ["Ada"])
      told = [at("waltz", "w1", 0), at("waltz", "w2", 0, minutes: 15)]
      expect(kept(told, tasks: [long])).to eq [["waltz", "w1", 0], ["waltz", "w2", 0]]
      expect(kept(told, tasks: [long.with(minutes: 30)])).to eq [["waltz", "w1", 0]]
    end

    # A lesson that went wrong, a join waiting for it, and three runs after that, each in its own evening.
    def season(lesson: 20, first: "19:00")
      tasks = [
        task("lesson", "learn", lesson, dancers: ["Ada"]),
        task("join", "join", 10, dancers: %w[Ada Bram], after: ["lesson"]),
        *(1..3).map do |i|
          task(
            "run-#{i}",
            "run",
            20,
            dancers: %w[Ada Bram],
            after: ["join"],
            after_window: i > 1 ? ["run-#{i - 1}"] : []
          )
        end
      ]
      told = [
        at("join", "w1", 0, minutes: 10),
        *(1..3).map { |i| at("run-#{i}", "w#{i}", i == 1 ? 30 : 0, minutes: 20) }
      ]
      problem(
        tasks,
        windows: [evening("w1", 4, first), evening("w2", 11), evening("w3", 18), evening("w4", 25)],
        plan: told
      )
    end

    def lies(plan) = plan.placements.map { |each| [each.task, each.window, each.start] }

    it "fits in before what waits, without moving what comes later" do
      plan = described_class.new(season, effort: "quick").repair
      expect(lies(plan)).to eq [
        ["lesson", "w1", 0],
        ["join", "w1", 20],
        ["run-1", "w1", 30],
        ["run-2", "w2", 0],
        ["run-3", "w3", 0]
      ]
      expect(plan.changes.to_h).to eq(new_calls: 0, cancelled: 0, shifted: 1)
    end

    it "sets free no more of the next rehearsals than it takes" do
      plan = described_class.new(season(lesson: 25), effort: "quick").repair
      expect([plan.complete?, lies(plan).last(2).map { |row| row.first(2) }, plan.changes.shifted]).to eq [
        true,
        [%w[run-2 w2], %w[run-3 w3]],
        2
      ]
      later = described_class.new(season(lesson: 50), effort: "quick").repair
      expect([later.complete?, lies(later).last(3).map { |row| row.first(2) }]).to eq [
        true,
        [%w[run-1 w2], %w[run-2 w3], %w[run-3 w4]]
      ]
    end

    it "keeps no block whose turn has not come, when not everything fits" do
      each_case(40) do |random|
        asked = season(lesson: random.rand(4..16) * 5, first: %w[18:20 18:45 19:00].sample(random:)).then do |made|
          away =
            Array.new(random.rand(0..3)) do
              {
                who: %w[Ada Bram].sample(random:),
                date: made.windows.sample(random:).date,
                from: [nil, 1095].sample(random:),
                to: nil
              }
            end
          made.with(unavailable: away)
        end
        plan = described_class.new(asked, effort: "quick").repair
        placed = plan.placements.to_h { |each| [each.task, [each.window, each.start]] }
        asked.tasks.each do |each|
          expect(placed.keys & each.before).to match_array(each.before) if placed.key?(each.id)
        end
        placed.slice("lesson", "join", "run-1").values.each_cons(2) { |one, other| expect(one <=> other).to eq(-1) }
      end
    end

    it "prefers few changes to little waiting, and what was promised to few changes" do
      asked = problem([waltz, run], plan: [at("waltz", "w2", 0), at("run", "w2", 30)])
      best = described_class.new(asked, effort: "normal").best
      expect(
        [best.placements.map(&:window).uniq, described_class.new(asked).slip(best), best.changes.to_h.values]
      ).to eq [["w2"], 0, [0, 0, 0]]
      told = [at("waltz", "w1", 0), at("run", "w1", 30)]
      late =
        problem(
          [waltz, run],
          windows: [evening("w1", 4), evening("w2", 11), evening("w3", 18)],
          plan: told,
          unavailable: [{ who: "Bram", date: "2027-01-04", from: nil, to: nil }]
        )
      again = described_class.new(late, effort: "quick")
      expect([again.best.ready_window, again.slip(again.best)]).to eq ["w2", 1]
    end
  end

  describe Core::Planning::Polish do
    it "starts a rehearsal as early as all of it can, and leaves what is fixed" do
      tasks = [task("a", "learn", 20, dancers: ["Ada"]), task("b", "learn", 20, dancers: ["Bram"])]
      asked = problem(tasks, unavailable: [{ who: "Ada", date: "2027-01-04", from: nil, to: 1090 }])
      frame = Core::Planning::IndexedProblem.new(asked)
      starts = lambda do |fixed|
        table = Core::Planning::Table.new(frame)
        [["a", 6], ["b", 8]].each { |id, start| table.put(frame.job(id), 0, start, 2, 0) }
        described_class.new(table, Core::Planning::Score.new(frame)).start_early(fixed:)
        %w[a b].map { |id| table.blocks[frame.job(id).at].map(&:start) }
      end
      expect([starts.call([]), starts.call(["b"])]).to eq [[[2], [4]], [[6], [8]]]
    end
  end

  describe Core::Planning::Disturbance do
    it "prices a new call, a cancelled one and a shifted slot" do
      tasks = [task("a", "learn", 30, dancers: %w[Ada Bram]), task("b", "learn", 30, dancers: ["Ada"])]
      frame = Core::Planning::IndexedProblem.new(problem(tasks))
      table = Core::Planning::Table.new(frame)
      table.put(frame.job("a"), 1, 0, 6, 0)
      table.put(frame.job("b"), 0, 6, 6, 0)
      changes = described_class.new(frame, [at("a", "w1", 0), at("b", "w1", 30)])
      expect([changes.of(table).to_h, changes.price(table)]).to eq [
        { new_calls: 2, cancelled: 1, shifted: 1 },
        (2 * 20) + 12 + 3
      ]
    end
  end

  describe Core::Planning::MoveCheck do
    it "moves into a rehearsal that is just long enough, and names one that is not" do
      asked =
        problem(
          [task("a", "learn", 30, dancers: ["Ada"])],
          windows: [evening("w1", 4), evening("w2", 11, "18:30"), evening("w3", 18, "18:25")]
        )
      check = described_class.new(asked, [at("a", "w1", 0)])
      expect(
        [
          check.place("a", "w2")&.start,
          described_class.new(asked, [at("a", "w1", 0)]).tap { |other| other.place("a", "w3") }.breaks.map(&:kind)
        ]
      ).to eq [0, [:long]]
    end
  end

  describe Core::Planning::Problem do
    let(:tasks) { [task("a", "learn", 30, dancers: ["Ada"]), task("run", "run", 30, dancers: ["Ada"])] }

    it "knows the rehearsal that was promised: of the last run, else of the last task" do
      told = [at("run", "w1", 0), at("a", "w2", 0)]
      expect(
        [
          problem(tasks, plan: told).promised,
          problem(tasks.first(1), plan: told).promised,
          problem(tasks).promised,
          problem(tasks, plan: [at("run", "gone", 0)]).promised
        ]
      ).to eq ["w1", "w2", nil, nil]
    end

    it "frees somebody of what is up to them only" do
      rows = [
        { who: "Ada", date: "2027-01-04" },
        { who: "Ada", date: "2027-01-11", work: true },
        { who: "Ada", date: "2027-01-12", late: true },
        { who: "Ada", date: "2027-01-13", frame: true },
        { who: "Bram", date: "2027-01-04" }
      ]
      expect(problem(tasks, unavailable: rows).freed("Ada").unavailable).to eq rows.drop(1)
    end
  end

  describe Core::Planning::Load do
    it "counts each teacher's sections, new eights with what repeats change, and minutes" do
      one = section(1, 8, 8, choreographer: 7)
      two = section(2, 8, 4, choreographer: 8)
      change = Core::Piece::Changes.new(replace: { 2 => rows(8).first })
      shares =
        described_class.new(
          work(link(one), link(two), link(one, changes: change, id: 3), link(two, mirrored: true))
        ).shares
      expect(
        shares.map { |share| [share.choreographer, share.sections.map(&:id), share.eights, share.minutes] }
      ).to eq [[7, [1], 3.0, 10], [8, [2], 1.5, 10]]
    end
  end

  describe "lists in sentences" do
    let(:names) { { "p1" => "Ada", "p2" => "Bram", "p3" => "Cleo", "p4" => "Dov", "p5" => "Esi" } }

    def quorum(*who)
      Core::Planning::RepairWriter.new(names, say: SAY).text(Core::Planning::Repairs::Repair.new(kind: :quorum, who:))
    end

    def needed(*tasks)
      Core::Planning::ReasonWriter.new(names, say: SAY).text(
        Core::Planning::Reason.new(type: :dancer, who: ["p1"], tasks:, windows: %w[w1], need: 9, have: 5)
      )
    end

    it "name one, two, four, and count the rest" do
      expect(quorum("p1")).to eq "it goes ahead without Ada, to be caught up before the join"
      expect(quorum("p1", "p2")).to include "without Ada and Bram,"
      expect(quorum("p1", "p2", "p3", "p4")).to include "without Ada, Bram, Cleo and Dov,"
      expect(quorum("p1", "p2", "p3", "p4", "p5")).to include "without Ada, Bram, Cleo, Dov and 1 more,"
    end

    it "name three tasks, counting those of one name" do
      expect(needed("a")).to start_with "Ada is needed for a on w1:"
      expect(needed("a", "b", "c")).to include "for a, b and c on"
      expect(needed("a", "b", "c", "d")).to include "for a, b, c and 1 more on"
      expect(needed("p2", "p2", "b")).to include "for 2 × Bram and b on"
    end
  end

  describe Core::Planning::Repairs do
    it "offers to free those who are away most, each once" do
      people = %w[a b c d]
      tasks = [task("one", "run", 30, dancers: people), task("two", "run", 30, dancers: people)]
      days = { "a" => [4], "b" => [4, 11], "c" => [4, 11, 18], "d" => [] }
      away =
        days.flat_map do |who, list|
          list.map { |day| { who:, date: "2027-01-#{format('%02d', day)}", from: nil, to: nil } }
        end
      asked =
        problem(
          tasks,
          windows: [4, 11, 18].map { |day| evening("w#{day}", day) } + [evening("w25", 25, "18:30")],
          unavailable: away
        )
      plan = Core::Planning::Solver.new(asked, effort: "quick").plan
      tried =
        described_class.new(asked, plan.unplaced, most: 9).send(:candidates)
          .select { |repair| repair.kind == :freed }
          .map(&:who)
      expect([plan.unplaced.size, tried]).to eq [1, %w[c b a]]
      expect(described_class.new(asked, plan.unplaced).all.map(&:kind)).to include(:freed, :rehearsal)
    end
  end
end
