# frozen_string_literal: true

require "spec_helper"
require_relative "../support/core_builders"

# What a day, a night and a week leave free, to the minute.
RSpec.describe "free time in a plan" do
  def window(date, start, minutes, id = "#{date} #{start}")
    Core::Planning::Window.new(id:, date:, start:, finish: start + minutes, rooms: [["r", 20]])
  end

  def task(id, minutes, **facts)
    Core::Planning::Task.new(id:, kind: "clean", minutes:, dancers: %w[a b], choreographers: ["t"], **facts)
  end

  def plan(windows, tasks, **facts)
    problem = Core::Planning::Problem.new(windows:, tasks:, dancers: %w[a b], choreographers: ["t"], minors: %w[a],
                                          **facts)
    Core::Planning::Solver.new(problem, effort: "quick").plan
  end

  def placed(plan) = plan.placements.map { |each| [each.window, each.start] }

  it "is a night of twelve hours for minors, exactly" do
    evening = window("2027-01-04", 1210, 50)
    tasks = [task("late", 50), task("early", 30, after: ["late"])]
    [[540, true], [535, false]].each do |start, fits|
      made = plan([evening, window("2027-01-05", start, 30)], tasks, night: 720)
      expect([start, made.complete?]).to eq [start, fits]
    end
    apart = [tasks.first, tasks.last.with(after_window: ["late"])]
    long = plan([evening, window("2027-01-05", 480, 120)], apart, night: 720)
    expect(placed(long).last).to eq ["2027-01-05 480", 60]
    two = [tasks.first.with(dancers: ["b"]), tasks.last.with(dancers: ["b"])]
    expect(plan([evening, window("2027-01-05", 480, 30)], two, night: 720).complete?).to be true
    expect(plan([evening, window("2027-01-05", 545, 30)], tasks, night: 720, frame_minutes: 10).complete?).to be false
  end

  it "is one day of seven for minors, whatever the week begins with" do
    days = Array.new(8) { |i| window((Date.new(2027, 1, 6) + i).iso8601, 1080, 30) }
    tasks = Array.new(7) { |i| task("t#{i}", 30, after_window: i.zero? ? [] : ["t#{i - 1}"]) }
    expect(plan(days.first(7), tasks, day_off: true).complete?).to be false
    expect(plan(days.first(7), tasks, day_off: false).complete?).to be true
    expect(plan(days.first(7), tasks, day_off: true, minors: []).complete?).to be true
    used = plan(days, tasks, day_off: true)
    expect(used.complete?).to be true
    week = placed(used).map { |id, _| id[0, 10] }
    expect([days.first(7), days.last(7)].map { |seven| (seven.map(&:date) - week).size }).to all(be >= 1)
  end

  it "is no more full out in a day than the group should, but for one thing that is longer" do
    runs = [10, 10, 10].map.with_index { |minutes, i| task("run#{i}", minutes, full_out: true) }
    days = [window("2027-01-04", 1080, 180), window("2027-01-06", 1080, 180)]
    expect(plan(days.first(1), runs, full_out_a_day: 30).complete?).to be true
    expect(plan(days.first(1), runs, full_out_a_day: 25).unplaced_minutes).to eq 10
    expect(placed(plan(days, runs, full_out_a_day: 20)).map(&:first).tally.values).to contain_exactly(1, 2)
    expect(plan(days.first(1), runs.first(1), full_out_a_day: 6).complete?).to be true
  end

  it "counts a day over its rehearsals, whichever of them is filled last" do
    day = [window("2027-01-04", 600, 70), window("2027-01-04", 900, 70), window("2027-01-06", 600, 70)]
    tasks = Array.new(6) { |i| task("t#{i}", 20) }
    made = plan(day, tasks, limits: [{ who: "a", minutes_per_day: 60 }])
    of_day = made.placements.select { |each| each.window.start_with?("2027-01-04") }.sum(&:minutes)
    expect([made.complete?, of_day]).to eq [true, 60]
  end
end
