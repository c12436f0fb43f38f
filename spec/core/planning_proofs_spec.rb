# frozen_string_literal: true

require "support/plan_validator"
require "support/enumerated_plans"

# What the planner claims, tried against every possibility on small seasons: what it calls impossible, what it offers as
# a repair, what it lets be moved, how little it moves.
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
  def evening(id, day, to, rooms: [["r", 9]]) = window(id, "2027-01-#{format('%02d', day)}", "18:00", to, rooms:)

  def json(asked, plan)
    [JSON.parse(Formats::PlanProblem.render(asked)), JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: SAY))]
  end

  def faults(asked, plan) = PlanValidator.new(*json(asked, plan)).faults

  # One room, unsplit tasks, often too many for the time.
  def tight(random)
    people = %w[a b c]
    tasks = Array.new(random.rand(3..4)) do |i|
      task(
        "t#{i}",
        i == 3 ? "run" : "learn",
        [10, 15, 20, 25].sample(random:),
        dancers: people.sample(random.rand(1..3), random:),
        after: i.positive? && random.rand < 0.4 ? ["t#{i - 1}"] : [],
        after_window: i.positive? && random.rand < 0.3 ? ["t#{i - 1}"] : []
      )
    end
    away =
      people
        .select { random.rand < 0.3 }
        .map { |who| { who:, date: %w[2027-01-04 2027-01-08].sample(random:), from: nil, to: nil } }
    problem(
      windows: [evening("w0", 4, "18:40"), evening("w1", 8, "18:30")],
      tasks:,
      max_continuous: 300,
      unavailable: away.select { |entry| tasks.flat_map(&:dancers).include?(entry[:who]) }
    )
  end

  it "calls nothing impossible that any plan could do, and counts what is short" do
    proven = 0
    each_case(25) do |random|
      asked = tight(random)
      plan = solve(asked)
      next if plan.complete?

      plan.reasons.each { |reason| expect(reason.short).to eq reason.need - reason.have }
      next unless plan.proven_impossible?

      proven += 1
      expect(EnumeratedPlans.new(asked).best).to be_nil
    end
    expect(proven).to be > 5
  end

  it "offers only repairs that make everything fit, and none that a longer search contradicts" do
    tried = Hash.new(0)
    cases = 0
    each_case(90) do |random|
      # Five (fifteen), and as many more as it takes to meet both kinds.
      next if (cases += 1) > (Seeded::LONG ? 15 : 5) && (%i[rehearsal freed] - tried.keys).empty?

      asked = tight(random)
      plan = solve(asked)
      next if plan.complete?

      Core::Planning::Repairs.new(asked, plan.unplaced).all.each do |repair|
        tried[repair.kind] += 1
        again = solve(repair.problem, effort: "normal")
        expect([again.complete?, faults(repair.problem, again)]).to eq [true, []]
        expect(Core::Planning::RepairWriter.new(say: SAY).text(repair)).to match(/\A\S.*\w\z/)
      end
    end
    expect(tried.keys).to include(:rehearsal, :freed)
  end

  # Two rooms, breaks, warming up again.
  def season(random)
    people = %w[a b c d]
    tasks = Array.new(5) do |i|
      task(
        "t#{i}",
        "learn",
        random.rand(2..6) * 5,
        dancers: people.sample(random.rand(1..3), random:),
        choreographers: [%w[x y].sample(random:)],
        after: i.positive? && random.rand < 0.5 ? ["t#{i - 1}"] : [],
        after_window: i > 1 && random.rand < 0.2 ? ["t0"] : []
      )
    end
    away =
      people
        .select { random.rand < 0.3 }
        .map { |who| { who:, date: %w[2027-01-04 2027-01-08].sample(random:), from: 1095, to: nil } }
    problem(
      windows: [evening("w0", 4, "19:15", rooms: [["big", 9], ["small", 2]]), evening("w1", 8, "19:15")],
      tasks:,
      max_continuous: 30,
      rewarm: [20, 5],
      unavailable: away.select { |entry| tasks.flat_map(&:dancers).include?(entry[:who]) }
    )
  end

  it "moves a slot to the first place that breaks nothing, and refuses only where there is none" do
    moved = Hash.new(0)
    each_case(14) do |random|
      asked = season(random)
      plan = solve(asked)
      next unless plan.complete?

      plan.placements.product(asked.windows).each do |block, window|
        check = Core::Planning::MoveCheck.new(asked, plan.placements)
        found = check.place(block.task, window.id)
        moved[found.nil?] += 1
        expect(found || first_valid(asked, plan, block, window)).to eq first_valid(asked, plan, block, window)
        expect(check.breaks.empty?).to eq(!found.nil?)
      end
    end
    expect(moved.values.min).to be > 10
  end

  # The first start (and the smallest room) at which a block breaks no rule, tried one by one.
  def first_valid(asked, plan, block, window)
    others = plan.placements.reject { |each| each.task == block.task }
    starts = (0..(window.minutes - block.minutes)).step(5).to_a.product(window.rooms.sort_by(&:last).map(&:first))
    place = starts.lazy.map { |start, room| block.with(window: window.id, start:, room:) }
    place.find { |each| faults(asked, Core::Planning::Plan.new(asked, others + [each])).empty? }
  end

  it "changes nothing but starts and rooms within a rehearsal for recap and music, and nothing at all where " \
     "people were told" do
    each_case(40) do |random|
      asked = season(random).with(recap: 5, to_music: 5, lately: [task("before", "learn", 20, dancers: ["a"])])
      plan = solve(asked.with(recap: 0, to_music: 0))
      shape = ->(placements) { placements.map { |each| [each.task, each.window, each.minutes] }.sort }
      sorted = ->(placements) { placements.sort_by { |each| [each.window, each.start, each.task] } }
      free = Core::Planning::Bookends.new(asked, plan.placements)
      told = Core::Planning::Bookends.new(asked, plan.placements, fixed: asked.windows.map(&:id))
      expect([shape.call(free.placements), sorted.call(told.placements)]).to eq [
        shape.call(plan.placements),
        sorted.call(plan.placements)
      ]
      # Wishes, not places: one that is danced together takes one, done part by part several.
      expect(free.missing.size).to be <= told.missing.size
    end
  end

  it "counts what changes for people as the two plans show it" do
    each_case(30) do |random|
      asked = season(random)
      before = solve(asked, seed: 1)
      more = [[], [evening("w2", 12, "19:15")]].sample(random:)
      next if before.placements.empty?

      again =
        asked.with(
          plan: before.placements,
          windows: asked.windows + more,
          unavailable: [*asked.unavailable, { who: "x", date: "2027-01-04", from: nil, to: nil }]
        )
      after = solve(again)
      attended = lambda do |plan|
        plan.placements
          .flat_map { |each| asked.tasks.find { |task| task.id == each.task }.people.map { |who| [who, each.window] } }
          .uniq
      end
      places = lambda do |plan|
        plan.placements.group_by(&:task).transform_values { |same| same.map { |each| [each.window, each.start] }.sort }
      end
      expect(after.changes.to_h).to eq(
        new_calls: (attended.call(after) - attended.call(before)).size,
        cancelled: (attended.call(before) - attended.call(after)).size,
        shifted: places.call(before).count { |id, where| places.call(after)[id] != where }
      )
    end
  end

  it "finds a flow as great as the least cut" do
    each_case(40) do |random|
      inner = %i[a b c d]
      edges =
        (inner + [:s]).product(inner + [:t])
          .reject { |from, to| from == to || random.rand < 0.5 }
          .map { |from, to| [from, to, random.rand(0..6)] }
      flow = Core::Planning::Flow.new(:s, :t)
      edges.each { |edge| flow.edge(*edge) }
      cuts =
        (0..inner.size)
          .flat_map { |size| inner.combination(size).to_a }
          .map do |side|
            edges.sum { |from, to, room| [:s, *side].include?(from) && ![:s, *side].include?(to) ? room : 0 }
          end
      expect(flow.most).to eq cuts.min
      side = flow.source_side
      expect(edges.sum { |from, to, room| side.include?(from) && !side.include?(to) ? room : 0 }).to eq cuts.min
    end
  end

  describe Core::Planning::Care do
    let(:care) { described_class.new }

    {
      "comes late" => [[nil, 1060], [0, 1075]],
      "comes in the middle of the warm-up" => [[1000, 1040], [1000, 1055]],
      "leaves early" => [[1150, nil], [1145, 1440]],
      "leaves before the cool-down" => [[1170, 1200], [1165, 1200]],
      "is gone for a while" => [[1080, 1110], [1080, 1115]],
      "is gone for a moment" => [[1080, 1095], [1080, 1095]],
      "is away before it" => [[900, 1020], [900, 1020]],
      "is away after it" => [[1180, 1300], [1180, 1300]],
      "is away all along" => [[nil, nil], [0, 1440]]
    }.each do |what, ((from, to), kept)|
      it "says when somebody cannot work who #{what}" do
        expect(care.away(from, to, opening: 1035, closing: 1175)).to eq kept
      end
    end

    it "warms up longer for what is hard on the body" do
      expect([[], ["spin"], %w[spin lift], ["floor_work"]].map { |hazards| care.warm_up_for(hazards) }).to eq [
        15,
        15,
        20,
        20
      ]
    end
  end
end
