# frozen_string_literal: true

# What stands against a plan made earlier: people, rooms and rehearsals as they are now, and what there is to do now.
RSpec.describe Core::Planning do
  def evening(id, day, rooms: [["hall", 4], ["loft", 2]])
    window(id, "2027-01-#{format('%02d', day)}", "18:00", "20:00", rooms:)
  end

  def at(task, window, start, room: "hall", minutes: 30)
    Core::Planning::Placement.new(task:, window:, start:, minutes:, room:)
  end

  def problem(tasks, windows: [evening("w1", 4), evening("w2", 11)], **rest)
    Core::Planning::Problem.new(
      windows:,
      tasks:,
      dancers: tasks.flat_map(&:dancers).uniq,
      choreographers: tasks.flat_map(&:choreographers).uniq,
      **rest
    )
  end

  describe Core::Planning::PlanConflicts do
    let(:tasks) do
      [
        task("waltz", "learn", 30, dancers: %w[Ada Bram], choreographers: ["Odalys"]),
        task("run", "run", 30, dancers: %w[Ada Bram Cleo])
      ]
    end
    let(:plan) { [at("waltz", "w1", 0), at("run", "w2", 60)] }

    def plan_conflicts(placements = plan, **changed)
      described_class.new(problem(tasks, **changed), placements).all
        .map { |found| [found.kind, found.task, found.window, *found.who] }
    end

    it "finds nothing in a plan that stands" do
      expect(plan_conflicts).to eq []
    end

    it "names who cannot come, and to what: a dancer who misses over a third of it, whoever teaches any of it" do
      away = { who: "Bram", date: "2027-01-04" }
      expect(plan_conflicts(unavailable: [{ **away, from: nil, to: nil }])).to eq [[:away, "waltz", "w1", "Bram"]]
      expect(plan_conflicts(unavailable: [{ **away, from: 1099, to: nil }])).to eq [[:away, "waltz", "w1", "Bram"]]
      expect(plan_conflicts(unavailable: [{ **away, from: nil, to: 1091 }])).to eq [[:away, "waltz", "w1", "Bram"]]
      expect(plan_conflicts(unavailable: [{ **away, from: 1100, to: nil }])).to eq []
      expect(plan_conflicts(unavailable: [{ **away, from: nil, to: 1090 }])).to eq []
      taught = { who: "Odalys", date: "2027-01-04", from: 1109, to: nil }
      expect(plan_conflicts(unavailable: [taught])).to eq [[:away, "waltz", "w1", "Odalys"]]
    end

    it "tells an absence from other work, and from a minor's hours" do
      rows = [
        { who: "Ada", date: "2027-01-11", from: 1150, to: 1160, work: true },
        { who: "Bram", date: "2027-01-11", from: 1140, to: 1150, frame: true },
        { who: "Cleo", date: "2027-01-11", from: 1165, to: 1440, late: true },
        { who: "Odalys", date: "2027-01-04", from: nil, to: nil }
      ]
      expect(plan_conflicts(unavailable: rows)).to eq [
        [:away, "waltz", "w1", "Odalys"],
        [:elsewhere, "run", "w2", "Ada"],
        [:late, "run", "w2", "Cleo"]
      ]
    end

    it "sees a room that something else is in, that is gone, or that holds fewer than are called" do
      expect(plan_conflicts(unavailable: [{ who: "hall", date: "2027-01-11", from: 1100, to: 1145 }])).to eq [
        [:taken, "run", "w2"]
      ]
      expect(plan_conflicts(windows: [evening("w1", 4, rooms: [["loft", 2]]), evening("w2", 11)])).to eq [
        [:no_room, "waltz", "w1"]
      ]
      expect(plan_conflicts([at("waltz", "w1", 0, room: "loft"), at("run", "w2", 0, room: "loft")])).to eq [
        [:small, "run", "w2", "Ada", "Bram", "Cleo"]
      ]
    end

    it "sees what no longer lies within its rehearsal, and looks at no rehearsal that is not there" do
      short = window("w2", "2027-01-11", "18:30", "19:45", rooms: [["hall", 4]])
      expect(plan_conflicts(windows: [evening("w1", 4), short])).to eq [[:outside, "run", "w2"]]
      expect(plan_conflicts([at("run", "w2", -5)])).to eq [[:outside, "run", "w2"]]
      expect(plan_conflicts(windows: [evening("w1", 4)])).to eq []
    end

    it "has nothing against any plan of the solver, and names everybody of whom it is robbed" do
      each_case(30) do |random|
        people = %w[a b c d]
        windows = Array.new(random.rand(2..4)) { |i| evening("w#{i}", (i * 3) + 1) }
        work = Array.new(random.rand(3..7)) do |i|
          task(
            "t#{i}",
            "learn",
            random.rand(2..8) * 5,
            dancers: people.sample(random.rand(1..4), random:),
            choreographers: [%w[x y].sample(random:)],
            split: random.rand < 0.4
          )
        end
        away =
          Array.new(random.rand(0..3)) do
            {
              who: people.sample(random:),
              date: windows.sample(random:).date,
              from: [nil, 1110].sample(random:),
              to: nil
            }
          end
        asked = problem(work, windows:, unavailable: away)
        placements = Core::Planning::Solver.new(asked, effort: "quick").plan.placements
        expect(described_class.new(asked, placements).all).to eq []

        hit = placements.sample(random:) or next
        who = asked.tasks.find { |each| each.id == hit.task }.people.sample(random:)
        date = windows.find { |each| each.id == hit.window }.date
        found =
          described_class.new(asked.with(unavailable: away + [{ who:, date:, from: nil, to: nil }]), placements).all
        there =
          placements.select do |each|
            each.window == hit.window && asked.tasks.find { |task| task.id == each.task }.people.include?(who)
          end
        expect(found.map { |each| [each.kind, each.task, each.who] }).to match_array(
          there.map { |each| [:away, each.task, [who]] }
        )
      end
    end
  end

  describe Core::Planning::Drift do
    let(:tasks) { [task("waltz", "learn", 60, dancers: %w[Ada Bram]), task("join", "join", 10, dancers: %w[Ada])] }

    def drift(planned, **rest)
      described_class.new(tasks, planned, **rest).all
        .map { |change| [change.kind, change.task, change.minutes || change.who] }
    end

    it "is nothing while everything has its minutes and its people" do
      expect(drift({ "waltz" => [60, %w[Ada Bram Cleo]], "join" => [10, %w[Ada]] })).to eq []
    end

    it "tells what has no place from what is known to have none, and what nothing needs" do
      expect(drift({ "waltz" => [60, %w[Ada Bram]], "old" => [25, %w[Ada]] })).to eq [
        [:missing, "join", 10],
        [:spare, "old", 25]
      ]
      expect(drift({ "waltz" => [60, %w[Ada Bram]] }, known: ["join"])).to eq []
    end

    it "lets an estimate move a little, and says what a lesson lacks beyond that" do
      join = { "join" => [10, %w[Ada]] }
      expect([50, 49, 48, 40].map { |given| drift({ "waltz" => [given, %w[Ada Bram]], **join }) }).to eq [
        [],
        [],
        [[:short, "waltz", 12]],
        [[:short, "waltz", 20]]
      ]
      expect(
        [31, 30].map { |given| described_class.new([task("duet", "learn", 40)], { "duet" => [given, []] }).all.size }
      ).to eq [0, 1]
      expect(drift({ "waltz" => [90, %w[Ada Bram]], **join })).to eq []
      expect(described_class.new([task("long", "learn", 100)], { "long" => [85, []] }).all).to eq []
    end

    it "names who dances something and is not called to it" do
      expect(drift({ "waltz" => [45, %w[Ada]], "join" => [10, %w[Bram Ada]] })).to eq [
        [:short, "waltz", 15],
        [:uncalled, "waltz", %w[Bram]]
      ]
    end
  end
end
