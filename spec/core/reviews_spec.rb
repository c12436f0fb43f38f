# frozen_string_literal: true

# What would be forgotten before a plan dances it again, and where a review goes.
RSpec.describe Core::Planning::Reviews do
  let(:piece) do
    work(link(section(1, 8, 8, name: "Known")), link(section(2, 8, name: "Fresh", choreographer: "mirela")))
  end
  let(:items) { Core::Learning::Items.new(piece, cast: { "a" => [], "b" => [], "c" => [] }) }
  let(:windows) { [5, 9, 16, 30].map { |day| window("w#{day}", "2027-03-#{format('%02d', day)}", "18:00", "19:00") } }
  let(:lessons) do
    windows.first(3).map { |each| task("learn-#{each.id}", "learn", 30, dancers: %w[a b c], links: [2]) }
  end
  let(:run) { task("run", "run", 20, dancers: %w[a b c], links: [1, 2]) }
  let(:tasks) { [*lessons, run] }
  let(:placements) do
    [*lessons.zip(windows).map { |each, at| place(each.id, at.id, 0, 30) }, place("run", "w30", 0, 20)]
  end

  def day(number) = Date.new(2027, 3, number)
  def place(task, window, start, minutes) = Core::Planning::Placement.new(task:, window:, start:, minutes:, room: "r")

  def reviews(last: { "a" => 1, "b" => 1, "c" => 1 }, problem: {}, plan: placements, more: [], **facts)
    cells = {
      "s1" => last.transform_values { |number| Core::Learning::Cell.new(rung: 3, days: 1, last_danced_on: day(number)) }
    }
    asked =
      Core::Planning::Problem.new(
        windows:,
        tasks: tasks + more,
        dancers: %w[a b c],
        choreographers: ["mirela"],
        **problem
      )
    progress = Core::Learning::Progress.new(cells)
    described_class.new(
      Core::Planning::Plan.new(asked, plan),
      tasks: asked.tasks,
      items:,
      progress:,
      today: day(2),
      ends: day(31),
      minutes: {
        "s1" => 10,
        "s2" => 10
      },
      **facts
    )
  end

  def found(made) = made.placements.map { |each| [each.task, each.window, each.start, each.minutes] }

  it "goes into the last rehearsal before it would be rusty, beside what is there" do
    made = reviews
    expect(made.wants.map { |want| [want.item.name, want.since, want.rusty, want.until, want.task.dancers] }).to eq [
      ["Known", day(1), day(12), day(30), %w[a b c]]
    ]
    expect(found(made)).to eq [["review-s1-w9", "w9", 30, 10]]
  end

  it "goes elsewhere where there is no room, and says so where there is none at all" do
    full = placements.map { |each| each.window == "w9" ? each.with(minutes: 60) : each }
    expect(found(reviews(plan: full))).to eq [["review-s1-w5", "w5", 30, 10]]
    none = reviews(problem: { max_continuous: 30, break_minutes: 60 })
    expect([none.wants.map(&:task), none.placements]).to eq [[nil], []]
  end

  it "is for those who lose it, if they are most and are there anyway" do
    expect(reviews(last: { "a" => 1 }).wants).to be_empty
    expect(reviews(last: { "a" => 1, "b" => 2 }).wants.map(&:dancers)).to eq [%w[a b]]
    away = placements.reject { |each| %w[w5 w9].include?(each.window) }
    expect(found(reviews(plan: away))).to eq [["review-s1-w16", "w16", 30, 10]]
  end

  it "asks the teacher where they are there" do
    expect(reviews(teachers: { "s1" => "mirela" }).wants.first.task.choreographers).to eq []
    there = task("other", "clean", 5, choreographers: ["mirela"])
    expect(
      reviews(plan: [*placements, place("other", "w9", 55, 5)], more: [there], teachers: { "s1" => "mirela" })
        .wants
        .first
        .task
        .choreographers
    ).to eq ["mirela"]
  end

  it "is not wanted when the plan dances it in time" do
    chain = task("chain", "chain", 10, dancers: %w[a b c], links: [1])
    expect(reviews(plan: [*placements, place("chain", "w9", 30, 10)], more: [chain]).wants.map(&:since)).to eq [day(9)]
    twice = task("again", "chain", 10, dancers: %w[a b c], links: [1])
    expect(
      reviews(
        plan: [*placements, place("chain", "w9", 30, 10), place("again", "w16", 30, 10)],
        more: [chain, twice]
      ).wants
    ).to be_empty
  end
end
