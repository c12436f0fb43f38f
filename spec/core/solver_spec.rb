# frozen_string_literal: true

require "support/plan_validator"
require "support/enumerated_plans"

# What the solver answers beside a plan that breaks no rule: how good it is, why it does not fit, what would make it
# fit, and how little it disturbs.
RSpec.describe Core::Planning do
  def problem(windows:, tasks:, **rest)
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers: tasks.flat_map(&:dancers).uniq,
      choreographers: tasks.flat_map(&:choreographers).uniq,
      **rest
    )
  end

  def solve(asked, effort: "quick", **how) = Core::Planning::Solver.new(asked, effort:, **how).plan

  def evening(id, day, to = "19:00", from: "18:00", rooms: [["r", 9]])
    window(id, "2027-01-#{format('%02d', day)}", from, to, rooms:)
  end

  def sentence(plan) = Core::Planning::ReasonWriter.new(say: SAY).text(plan.reasons.first)

  def faults(asked, plan)
    PlanValidator.new(
      JSON.parse(Formats::PlanProblem.render(asked)),
      JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: SAY))
    ).faults
  end

  describe "how good a plan is" do
    def tiny(random)
      people = %w[a b c]
      tasks =
        Array.new(4) do |i|
          task(
            "t#{i}",
            i == 3 ? "run" : "learn",
            [10, 15].sample(random:),
            dancers: people.sample(random.rand(1..2), random:),
            after: i == 3 && random.rand < 0.7 ? ["t0"] : []
          )
        end
      away = random.rand < 0.3 ? [{ who: "a", date: "2027-01-04", from: nil, to: nil }] : []
      problem(
        windows: [evening("w0", 4, "18:30"), evening("w1", 8, "18:25")],
        tasks:,
        trip_cost: 12,
        max_continuous: 300,
        unavailable: away
      )
    end

    it "is ready as early as any plan can be, with a cost next to the least; the bound is never later than the truth" do
      gaps = []
      each_case(12) do |random|
        asked = tiny(random)
        exact = EnumeratedPlans.new(asked).best
        plan = solve(asked, effort: "normal")
        ready = plan.ready_window && asked.windows.index { |each| each.id == plan.ready_window }
        if exact.nil?
          expect(plan).not_to be_complete
        else
          expect([plan.complete?, ready]).to eq [true, exact.first]
          expect(asked.windows.index { |each| each.id == plan.ready_bound }).to be <= exact.first
          gaps << plan.cost.fdiv(exact.last)
        end
      end
      expect(gaps.min).to be >= 1.0
      expect(gaps.sum / gaps.size).to be <= 1.02
    end

    it "evens the load over the weeks when there is time until a target, instead of cramming" do
      tasks =
        Array.new(4) { |i| task("t#{i}", "clean", 30, dancers: ["d"]) } +
        [task("run", "run", 20, dancers: ["d"], after: ["t0"])]
      windows = [4, 11, 18, 25].each_with_index.map { |day, i| evening("w#{i}", day, "20:00") }
      crammed = solve(problem(windows:, tasks:, max_continuous: 200))
      even = solve(problem(windows:, tasks:, max_continuous: 200, target_window: "w3"))
      expect([crammed.placements.map(&:window).uniq.size, even.placements.map(&:window).uniq.size]).to eq [2, 4]
    end

    it "takes a longer rest after two hours where that is asked" do
      tasks = Array.new(4) { |i| task("t#{i}", "learn", 40, dancers: ["d"]) }
      plan = solve(problem(windows: [evening("w", 4, "21:30")], tasks:, rests: [[120, 15]]))
      starts = plan.placements.map { |each| [each.start, each.end] }.sort
      rests = starts.each_cons(2).map { |(_, a), (b, _)| b - a }
      expect([plan.complete?, rests.max >= 15]).to eq [true, true]
    end
  end

  describe "why a plan does not fit" do
    it "says which tasks of a choreographer fit only which dates" do
      tasks = [
        task("l", "learn", 90, choreographers: ["Mirela"], dancers: ["d"], split: true),
        task("other", "learn", 10, choreographers: ["Odalys"], dancers: ["e"])
      ]
      away = [{ who: "Mirela", date: "2027-01-11", from: nil, to: nil }]
      plan = solve(problem(windows: [evening("w1", 4), evening("w2", 11)], tasks:, unavailable: away))
      expect(sentence(plan)).to eq "Mirela teaches l only on w1: 90 minutes are needed, 60 can be had, 30 short."
      expect([plan.proven_impossible?, plan.reasons.first.short]).to eq [true, 30]
    end

    it "counts only the rehearsals in which a dancer's tasks can be at all" do
      tasks = [task("x", "learn", 40, dancers: %w[Ada Bram]), task("y", "learn", 40, dancers: %w[Ada Bram])]
      plan =
        solve(
          problem(
            windows: [evening("w1", 4), evening("w2", 11)],
            tasks:,
            unavailable: [{ who: "Bram", date: "2027-01-04", from: nil, to: nil }]
          )
        )
      expect(plan.reasons.map(&:who)).to include(["Ada"])
      expect(sentence(plan)).to include("80 minutes are needed, 60 can be had, 20 short.").or include(
        "80 minutes are needed, 40 can be had"
      )
    end

    it "names the room that is too small, and rooms that are full" do
      small =
        solve(
          problem(windows: [evening("w", 4, rooms: [["r", 2]])], tasks: [task("run", "run", 20, dancers: %w[a b c])])
        )
      expect(sentence(small)).to eq "No room holds run: 3 dancers, and the largest room takes 2."
      full =
        solve(
          problem(
            windows: [evening("w", 4)],
            tasks: [task("x", "learn", 40, dancers: ["a"]), task("y", "learn", 40, dancers: ["b"])]
          )
        )
      expect(
        sentence(full)
      ).to eq "The rooms are full: x and y fit only on w, which need 80 minutes and have 60: 20 short."
    end

    it "names the person whose days away make it too much for the rooms, before the rooms" do
      away = [{ who: "Ada", date: "2027-01-08", from: nil, to: nil }]
      own = [task("x", "learn", 40, dancers: ["Ada"]), task("y", "learn", 40, dancers: ["Ada"])]
      shared = [task("x", "learn", 40, dancers: ["Ada"]), task("y", "learn", 40, dancers: ["Bo"])]
      both = [*away, { who: "Bo", date: "2027-01-08", from: nil, to: nil }]
      windows = [evening("w", 4), evening("v", 8)]
      said = [[own, away], [shared, both]].map do |tasks, unavailable|
        expect(solve(problem(windows:, tasks:, max_continuous: 300))).to be_complete
        sentence(solve(problem(windows:, tasks:, unavailable:, max_continuous: 300)))
      end
      expect(said).to eq ["Ada is away on v and is needed for x and y: 20 minutes have no room on the other days.",
                          "Ada is away on v and is needed for x: 20 minutes have no room on the other days."]
    end

    it "plans nothing where no rehearsal is left, whichever way it is asked" do
      asked = problem(windows: [], tasks: [task("x", "learn", 20, dancers: ["a"]),
                                           task("y", "join", 10, dancers: ["a"], after: ["x"])])
      again = Core::Planning::Replanning.new(asked.with(plan: []), effort: "quick")
      ways = %i[repair anew best].map { |way| again.public_send(way) }
      expect([solve(asked), *ways].map(&:unplaced)).to all(eq("x" => 20, "y" => 10))
      away = asked.with(unavailable: [{ who: "a", date: "2027-01-04", from: nil, to: nil }])
      expect(sentence(solve(away))).to eq "No rehearsal is left for x and y: 30 minutes are needed."
    end

    it "names who is away when no rehearsal has everybody together long enough" do
      away = [{ who: "Bram", date: "2027-01-04", from: 1095, to: nil }]
      plan =
        solve(
          problem(windows: [evening("w", 4)], tasks: [task("run", "run", 30, dancers: %w[Ada Bram])], unavailable: away)
        )
      expect(
        sentence(plan)
      ).to eq "No rehearsal has everybody together long enough for run: it needs 30 minutes in one piece, the " \
              "longest is 15, when Bram is away."
      long = solve(problem(windows: [evening("w", 4)], tasks: [task("run", "run", 90, dancers: ["Ada"])]))
      expect(
        sentence(long)
      ).to eq "No rehearsal is long enough for run: it needs 90 minutes in one piece, the longest is 60."
    end

    it "follows the chain of what waits for what" do
      tasks = [
        task("run-1", "run", 20, dancers: ["a"]),
        task("run-2", "run", 20, dancers: ["a"], after_window: ["run-1"]),
        task("run-3", "run", 20, dancers: ["a"], after_window: ["run-2"])
      ]
      plan = solve(problem(windows: [evening("w1", 4), evening("w2", 11)], tasks:))
      expect([plan.reasons.first.type, plan.proven_impossible?]).to eq [:precedence, true]
      expect(
        sentence(plan)
      ).to eq "run-1, run-2 and run-3 wait for each other, one after another: that takes at least 3 rehearsals, " \
              "and there are 2."
    end

    it "names the longest line of what waits, counts what is called the same, and offers the runs that fit" do
      tasks =
        (1..5).map { |i| task("run-#{i}", "run", 20, dancers: ["a"], after_window: i > 1 ? ["run-#{i - 1}"] : []) }
      asked = problem(windows: [evening("w1", 4), evening("w2", 11)], tasks:, show_date: "2027-01-12")
      plan = solve(asked)
      names = {
        "run-1" => "Stumble-through",
        **(2..3).to_h { |i| ["run-#{i}", "Run with music"] },
        **(4..5).to_h { |i| ["run-#{i}", "Run full out"] }
      }
      said =
        "Stumble-through, 2 × Run with music and 2 × Run full out wait for each other, one after another: that " \
        "takes at least 5 rehearsals, and there are 2."
      expect(Core::Planning::ReasonWriter.new(names, say: SAY).text(plan.reasons.first)).to eq said
      repair = Core::Planning::Repairs.new(asked, plan.unplaced).all.find { |each| each.kind == :runs }
      expect(
        [Core::Planning::RepairWriter.new(say: SAY).text(repair), repair.ready_window, repair.problem.tasks.map(&:id)]
      ).to eq ["2 full runs ahead instead of 5", "w2", %w[run-1 run-2]]
    end

    it "never offers to do without any run" do
      asked =
        problem(windows: [evening("w", 4)], tasks: [task("run-1", "run", 90, dancers: ["a"])], show_date: "2027-01-05")
      expect(Core::Planning::Repairs.new(asked, solve(asked).unplaced).all.map(&:kind)).not_to include :runs
    end

    it "finds tasks that share dancers pairwise though nobody is short alone" do
      pairs = [%w[a b], %w[b c], %w[a c]]
      tasks = pairs.each_with_index.map { |dancers, i| task("t#{i}", "learn", 25, dancers:) }
      plan = solve(problem(windows: [evening("w", 4, rooms: [["r", 9], ["s", 9]])], tasks:))
      expect([plan.reasons.first.type, plan.reasons.first.need, plan.reasons.first.have]).to eq [:clique, 75, 60]
      expect(sentence(plan)).to include "share dancers, so no two of them can be at once"
    end

    it "calls nothing impossible that it cannot prove, and tries what would help" do
      tasks = Array.new(3) { |i| task("t#{i}", "learn", 35, dancers: ["d#{i}"]) }
      asked = problem(windows: [evening("w1", 4), evening("w2", 11)], tasks:, show_date: "2027-02-01")
      plan = solve(asked)
      expect([plan.complete?, plan.reasons.first.type, plan.proven_impossible?]).to eq [false, :none_found, false]
      repairs = Core::Planning::Repairs.new(asked, plan.unplaced).all
      expect(repairs.map(&:kind)).to include(:rehearsal, :room)
      expect(repairs.map { |repair| Core::Planning::RepairWriter.new(say: SAY).text(repair) }).to include(
        a_string_matching(/\Aone rehearsal more on 2027-01-/),
        a_string_starting_with("a further room for 1 in every rehearsal")
      )
      repairs.each { |repair| expect(solve(repair.problem)).to be_complete }
    end

    it "offers to free somebody, or to go ahead with four fifths" do
      tasks = [
        task("learn", "learn", 40, dancers: %w[a b c d e]),
        task("join", "join", 5, dancers: %w[a b], after: ["learn"])
      ]
      away = [{ who: "b", date: "2027-01-04", from: nil, to: nil }]
      asked = problem(windows: [evening("w1", 4), evening("w2", 11, "18:30")], tasks:, unavailable: away)
      repairs = Core::Planning::Repairs.new(asked, solve(asked).unplaced).all
      expect(repairs.map do |repair|
        Core::Planning::RepairWriter.new({ "b" => "Bram" }, say: SAY).text(repair)
      end).to include(
        "Bram comes to all rehearsals",
        "it goes ahead without Bram, to be caught up before the join"
      )
      ahead = repairs.find { |repair| repair.kind == :quorum }
      plan = solve(ahead.problem)
      expect(plan.placements.map { |each| [each.task, each.window] }.sort).to eq [
        %w[join w2],
        %w[learn w1],
        %w[learn-caught-up w2]
      ]
      expect([ahead.problem.tasks.map(&:dancers), faults(ahead.problem, plan)]).to eq [
        [%w[a c d e], %w[b], %w[a b]],
        []
      ]
      nowhere = problem(windows: [evening("w1", 4)], tasks:, unavailable: away)
      expect(Core::Planning::Repairs.new(nowhere, solve(nowhere).unplaced).all.map(&:kind)).not_to include(:quorum)
    end
  end

  describe "planning again" do
    let(:tasks) do
      [
        task("l", "learn", 40, dancers: %w[a b], split: true),
        task("j", "join", 15, dancers: %w[a b], after: ["l"]),
        task("run", "run", 20, dancers: %w[a b c], after: ["j"])
      ]
    end
    let(:windows) { [evening("w1", 4), evening("w2", 11), evening("w3", 18)] }
    let(:told) { solve(problem(windows:, tasks:)).placements }

    it "keeps what still stands, and fits the rest around it" do
      asked = problem(windows:, tasks:, plan: told, unavailable: [{ who: "c", date: "2027-01-04", from: nil, to: nil }])
      again = Core::Planning::Replanning.new(asked, effort: "quick")
      expect([again.repair, again.anew].map(&:complete?)).to all be true
      expect(again.repair.placements.reject { |each| each.task == "run" }).to eq(
        told.reject { |each| each.task == "run" }
      )
      expect(again.best.changes.to_h).to include(
        shifted: told.any? { |each| each.task == "run" && each.window == "w1" } ? 1 : 0
      )
      expect(faults(asked, again.best)).to be_empty
    end

    it "changes nothing when nothing happened" do
      again = Core::Planning::Replanning.new(problem(windows:, tasks:, plan: told), effort: "quick").best
      expect([again.placements, again.changes.to_h]).to eq [told, { new_calls: 0, cancelled: 0, shifted: 0 }]
    end

    it "leaves what is pinned where it is, whatever it costs" do
      pinned = [Core::Planning::Placement.new(task: "run", window: "w3", start: 30, minutes: 20, room: "r")]
      plan = solve(problem(windows:, tasks:, pinned:))
      expect(plan.placements.find { |each| each.task == "run" }).to eq pinned.first
    end

    it "takes past rehearsals and done minutes as they are" do
      plan = solve(problem(windows:, tasks:, now: "w2", done: { "l" => 30 }))
      expect(plan.placements.map(&:window)).not_to include("w1")
      expect(plan.placements.select { |each| each.task == "l" }.sum(&:minutes)).to eq 10
    end

    it "breaks no rule on any problem, with what happened in between" do
      each_case(25) do |random|
        people = %w[a b c d]
        made = Array.new(5) do |i|
          task(
            "t#{i}",
            i == 4 ? "run" : "learn",
            random.rand(2..8) * 5,
            dancers: people.sample(random.rand(1..4), random:),
            split: random.rand < 0.4,
            after: i.positive? && random.rand < 0.5 ? ["t#{i - 1}"] : []
          )
        end
        first = problem(windows:, tasks: made)
        away = [{ who: people.sample(random:), date: windows.sample(random:).date, from: nil, to: nil }]
        asked =
          first.with(
            plan: solve(first).placements,
            unavailable: away.select { |entry| first.dancers.include?(entry[:who]) }
          )
        plan = Core::Planning::Replanning.new(asked, effort: "quick").best
        expect(faults(asked, plan)).to be_empty
      end
    end
  end

  describe Core::Planning::Flow do
    it "finds the greatest flow and the side of the cut it stops at" do
      flow = described_class.new(:s, :t)
      {
        %i[s a] => 4,
        %i[s b] => 3,
        %i[a c] => 2,
        %i[b c] => 3,
        %i[a b] => 1,
        %i[c t] => 4,
        %i[b t] => 1
      }.each do |(from, to), room|
        flow.edge(from, to, room)
      end
      expect([flow.most, flow.source_side.sort]).to eq [5, %i[a b c s]]
    end
  end
end
