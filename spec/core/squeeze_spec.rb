# frozen_string_literal: true

require "spec_helper"

# A job put between others that move up for it.
RSpec.describe Core::Planning::Squeeze do
  def task(id, minutes, dancers, **facts)
    Core::Planning::Task.new(id:, kind: "clean", minutes:, dancers:, **facts)
  end

  def window(id, start = 600)
    Core::Planning::Window.new(id:, date: "2027-01-04", start:, finish: start + 60, rooms: [["r", 9], ["s", 9]])
  end

  def squeeze(tasks, windows: [window("w")], **facts)
    problem = Core::Planning::Problem.new(windows:, tasks:, dancers: %w[a b c], **facts)
    table = Core::Planning::Table.new(Core::Planning::IndexedProblem.new(problem))
    [table, described_class.new(table, Core::Planning::Places.new(table), {})]
  end

  def places(found) = found.places.map { |job, start, steps, _| [job.id, start * 5, steps * 5] }

  it "lets nothing begin before what it waits for has ended, though other people are free" do
    table, squeeze = squeeze([task("first", 20, ["a"]), task("then", 10, ["b"], after: ["first"])])
    first, second = table.frame.jobs
    table.put(first, 0, 0, 4, 0)
    expect(places(squeeze.of(second, 0, 2))).to eq [["first", 0, 20], ["then", 20, 10]]
    squeeze.put(squeeze.of(second, 0, 2))
    expect(table.blocks[second.at].map(&:start)).to eq [4]
  end

  it "puts it where the others wait least, and says what that adds" do
    table, squeeze = squeeze([task("one", 20, %w[a b]), task("two", 20, %w[a c]), task("more", 10, ["b"])])
    one, two, more = table.frame.jobs
    table.put(one, 0, 0, 4, 0)
    table.put(two, 0, 4, 4, 0)
    found = squeeze.of(more, 0, 2)
    expect([found.minutes, places(found)]).to eq [0, [["more", 0, 10], ["one", 10, 20], ["two", 30, 20]]]
  end

  it "asks anew where another rehearsal of the day has changed" do
    limits = [{ who: "a", minutes_per_day: 40 }]
    tasks = [task("one", 20, ["a"]), task("two", 20, ["a"]), task("more", 10, ["a"])]
    table, squeeze = squeeze(tasks, windows: [window("w"), window("v", 900)], limits:)
    one, two, more = table.frame.jobs
    table.put(one, 0, 0, 4, 0)
    expect(squeeze.of(more, 0, 2)).not_to be_nil
    table.put(two, 1, 0, 4, 0)
    expect(squeeze.of(more, 0, 2)).to be_nil
  end
end
