# frozen_string_literal: true

require "spec_helper"

# An evening's waiting, short teaching and prices, told apart.
RSpec.describe Core::Planning::WhySo do
  let(:planning) { Core::Planning }
  let(:windows) do
    { "w1" => "2027-02-02", "w2" => "2027-02-09" }.map do |id, date|
      planning::Window.new(id:, date:, start: 1080, finish: 1200, rooms: [["r", 20]])
    end
  end

  def task(id, dancers, teacher, minutes = 20)
    planning::Task.new(id:, kind: "learn", minutes:, dancers:, choreographers: [teacher])
  end

  def place(task, start, minutes = 20) = planning::Placement.new(task:, window: "w1", start:, minutes:, room: "r")

  def why(placements, list: planning::PriceList.of({ "ada" => "8_11" }, guests: ["gus"], home: ["ilse"]))
    tasks = [task("one", %w[ada bo], "tom"), task("two", %w[bo cy], "gus", 50), task("three", %w[ada cy], "ilse")]
    problem = planning::Problem.new(windows:, tasks:, dancers: %w[ada bo cy], choreographers: %w[tom gus ilse],
                                    price_list: list, max_continuous: 120)
    described_class.new(problem, placements)
  end

  it "says who waits longest and for how long all do" do
    evening = why([place("one", 0), place("two", 20, 50), place("three", 70)]).evening("w1")
    expect(evening.to_h.slice(:waiting, :longest, :came)).to eq(waiting: 50, longest: ["ada", 50], came: 6)
    expect(evening.prices.to_h[:long_waits]).to eq((50 - 10) * planning::Price::LONG_WAIT)
  end

  it "names who teaches for less than is worth coming for: guests sooner, who runs the studio never" do
    expect(why([place("one", 0), place("two", 20, 50), place("three", 70)]).evening("w1").short)
      .to eq [["tom", 20], ["gus", 50]]
  end

  it "leaves out what has no time there any more" do
    evening = why([place("one", -10), place("two", 100, 50), place("three", 0)]).evening("w1")
    expect([evening.came, evening.waiting]).to eq [3, 0]
  end

  it "says nothing of prices where a problem has none, and nothing of an evening nobody is called on" do
    found = why([place("one", 0)], list: nil)
    expect([found.evening("w1").prices, found.evening("w1").longest, found.evening("w2")]).to eq [[], nil, nil]
  end
end
