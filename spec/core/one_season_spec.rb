# frozen_string_literal: true

require "spec_helper"
require_relative "../support/seeded"
require_relative "../support/studio_seasons"

# Several pieces as one problem, and the plan taken apart again.
RSpec.describe Core::Planning::OneSeason do
  include Seeded

  let(:part) { described_class::Part }

  # The problem of one piece of a made-up studio, whose rehearsals begin so many minutes later.
  def alone(data, piece, later: 0, **more)
    tasks = data["tasks"].select { |task| task["piece"] == piece }
    own = data.merge("tasks" => tasks, "pieces" => [], "aims" => [], "warm_up" => 0, "cool_down" => 0)
    own.delete("re_warm_after")
    problem, = Formats::PlanProblem.parse(own.to_json)
    windows = problem.windows.map { |each| each.with(start: each.start + later) }
    problem.with(windows:, tasks: problem.tasks.map { |task| task.with(piece: nil) }, **more)
  end

  def season(data, **more)
    described_class.new(
      [part.new(id: 7, order: 1, problem: alone(data, "p", later: 5, **more)),
       part.new(id: 12, order: 2, problem: alone(data, "q", **more))]
    )
  end

  # [[who or which room, date, from, to], …] of a piece's plan, by the clock.
  def hours(plan)
    windows = plan.problem.windows.to_h { |window| [window.id, window] }
    tasks = plan.problem.tasks.to_h { |task| [task.id, task] }
    plan.placements.flat_map do |each|
      from = windows.fetch(each.window).start + each.start
      party = plan.party(each)
      who = party ? party.there | party.lead : tasks.fetch(each.task).people
      [*who, each.room].map { |one| [one, windows.fetch(each.window).date, from, from + each.minutes] }
    end
  end

  def meet?(one, other) = one.first(2) == other.first(2) && one[2] < other[3] && other[2] < one[3]

  it "has nobody and no room in two places, whoever warms up longer, and places what goes in" do
    each_case(6) do |random|
      made = season(StudioSeasons.one(random, weeks: 5, away: 0.1))
      plan = Core::Planning::Solver.new(made.problem, effort: "quick").plan
      shares = made.shares(plan)
      one, other = shares.values.map { |share| hours(share) }
      expect(one.product(other).select { |a, b| meet?(a, b) }).to eq []
      expect(shares.values.sum(&:unplaced_minutes)).to eq plan.unplaced_minutes
      expect(shares.values.sum { |share| share.placements.size }).to eq plan.placements.size
    end
  end

  it "sets nothing of a piece that has no rehearsal left, and the others all the same" do
    data = StudioSeasons.one(Random.new(5), weeks: 5, away: 0)
    made = described_class.new([part.new(id: 7, order: 1, problem: alone(data, "p").with(windows: [])),
                                part.new(id: 12, order: 2, problem: alone(data, "q"))])
    shares = made.shares(Core::Planning::Solver.new(made.problem, effort: "quick").plan)
    expect([shares[7].placements, shares[12].placements.any?]).to eq [[], true]
  end

  it "keeps what was told as it was told" do
    data = StudioSeasons.one(Random.new(5), weeks: 5, away: 0)
    made = season(data)
    told = made.shares(Core::Planning::Solver.new(made.problem, effort: "quick").plan)
    again = described_class.new(
      [["p", 7, 5], ["q", 12, 0]].map do |piece, id, later|
        part.new(id:, order: 1, problem: alone(data, piece, later:, plan: told.fetch(id).placements))
      end
    )
    plan = Core::Planning::Solver.new(again.problem, effort: "quick").plan
    expect(plan.changes.to_h.values_at(:new_calls, :cancelled)).to eq [0, 0]
  end

  it "ends a piece with its own last evening, and has it learn nothing new and dance nothing full out in exams" do
    data = StudioSeasons.one(Random.new(3), weeks: 5, away: 0)
    first = alone(data, "p")
    part_p = part.new(id: 7, order: 1, problem: first.with(windows: first.windows.first(7)))
    exams = [{ who: %w[d1], from: first.windows[2].date, to: first.windows[3].date }]
    made = described_class.new([part_p, part.new(id: 12, order: 2, problem: alone(data, "q"))])
    problem = made.problem.with(exams:, tasks: made.problem.tasks.map { |task| task.with(full_out: task.run?) })
    plan = Core::Planning::Solver.new(problem, effort: "quick").plan
    own = plan.placements.select { |each| each.task.start_with?("7:") }.map(&:window)
    expect(own - problem.windows.first(7).map(&:id)).to eq []
    tasks = problem.tasks.to_h { |task| [task.id, task] }
    writing = plan.placements.select { |each| problem.windows[2..3].map(&:id).include?(each.window) }
    hers = writing.map { |each| tasks.fetch(each.task) }.select { |task| task.dancers.include?("d1") }
    expect(hers.select { |task| task.eights.positive? || task.full_out }).to eq []
  end

  it "gives those reviews that one piece adds to nobody else" do
    data = StudioSeasons.one(Random.new(4), weeks: 5, away: 0)
    made = season(data)
    plan = Core::Planning::Solver.new(made.problem, effort: "quick").plan
    seen = []
    made.shares(plan) do |id, share|
      seen << share.problem.unavailable.count { |entry| entry[:date] == "2027-01-04" && entry[:from] == 1205 }
      review = Core::Planning::Task.new(id: "review-s1-w1", kind: "review", minutes: 5, dancers: ["d1"])
      at = Core::Planning::Placement.new(task: review.id, window: "w1", start: 1205 - share.problem.windows[0].start,
                                         minutes: 5, room: "A")
      id == 7 ? share.with_reviews([review], [at]) : share
    end
    expect(seen).to eq [0, 2]
  end
end
