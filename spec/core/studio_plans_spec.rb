# frozen_string_literal: true

require "spec_helper"
require "json_schemer"
require_relative "../support/seeded"
require_relative "../support/spoilt_answers"
require_relative "../support/exact_cases"
require_relative "../support/studio_seasons"
require_relative "../support/studio_plan_validator"

# Everything of a studio as one problem: made, and held against a validator that knows only the files.
RSpec.describe "plans of a whole studio" do
  include Seeded

  def plan(data, effort: "quick", seed: 0)
    problem, = Formats::PlanProblem.parse(data.to_json)
    Core::Planning::Solver.new(problem, effort:, seed:).plan
  end

  def answer(plan) = JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: ->(*) { "" }, studio: true))
  def faults(data, answer = answer(plan(data))) = StudioPlanValidator.new(data, answer).faults
  def blocks(answer, id) = answer["plan"].select { |block| block["task"] == id }

  # A studio of one room and three evenings, with a task of ten.
  def small(**facts)
    people = Array.new(10) { |i| "d#{i}" }
    dates = %w[2027-01-04 2027-01-07 2027-01-11]
    {
      "format" => "plan-problem-2", "dancers" => people, "choreographers" => %w[t u],
      "windows" => dates.each_with_index.map do |date, i|
        { "id" => "w#{i}", "date" => date, "start" => "18:00", "end" => "19:00",
          "rooms" => [{ "id" => "r", "capacity" => 12 }] }
      end,
      "tasks" => [{ "id" => "learn", "kind" => "learn", "minutes" => 30, "may" => people, "enough" => 8,
                    "leads" => [{ "people" => ["t"], "price" => 0 }, { "people" => ["u"], "price" => 25 }] }],
      **facts.transform_keys(&:to_s)
    }
  end

  def away(who, *dates, **hours) = dates.map { |date| { "who" => who, "date" => date, **hours.transform_keys(&:to_s) } }

  it "break no rule in seasons with a guest, two pieces, absences and bands" do
    each_case(12) do |random|
      data = StudioSeasons.one(random)
      made = answer(plan(data))
      expect(faults(data, made)).to eq []
      expect(made.values_at("unplaced_minutes", "first_aim_missed")).to eq [0, 0] if data["windows"].size > 6
    end
  end

  it "cost little more than the best plan there is, where that was proven" do
    gaps = JSON.parse(File.read("spec/corpus/exact_plans.json")).map do |entry|
      number, ready, cost = entry.values_at("number", "ready", "cost")
      problem = ExactCases.problem(number)
      made = Core::Planning::Solver.new(problem, effort: "normal").plan
      expect([made.complete?, problem.windows.index { |window| window.id == made.ready_window }]).to eq [true, ready]
      expect(made.bound).to be_between(cost / 4, cost)
      (made.prices.values.sum - cost).fdiv(cost)
    end
    expect(gaps.min).to be >= 0
    expect([gaps.sum / gaps.size, gaps.max]).to match [be <= 0.01, be <= 0.05]
  end

  it "are the same for the same seed" do
    data = StudioSeasons.one(Random.new(5))
    one, other = Array.new(2) { answer(plan(data, seed: 3)) }
    expect(one).to eq other
  end

  it "find a place where everybody is away on one evening of three, and say who misses it" do
    dates = small["windows"].map { |window| window["date"] }
    data = small(unavailable: (0..5).flat_map { |i| away("d#{i}", dates[i / 2]) })
    made = answer(plan(data))
    expect([made["complete"], faults(data, made), blocks(made, "learn").first["missing"].size]).to eq [true, [], 2]
  end

  it "wait for an evening with enough of each group, and count nobody in who is away from a third of it" do
    data = small(unavailable: away("d0", "2027-01-04") + away("d1", "2027-01-04") + away("d2", "2027-01-04"))
    expect(blocks(answer(plan(data)), "learn").first["window"]).not_to eq "w0"
    data["tasks"].first.merge!("enough" => 5, "groups" => [{ "people" => %w[d0 d1 d2], "enough" => 2 }])
    expect(blocks(answer(plan(data)), "learn").first["window"]).not_to eq "w0"
    late = small("windows" => small["windows"].first(1), unavailable: away("d0", "2027-01-04", to: "18:35"))
    made = answer(plan(late))
    call = made["calls"].find { |each| each["who"] == "d0" }
    expect([blocks(made, "learn").first.values_at("start", "missing"), call["call"]]).to eq [[25, []], 35]
  end

  it "keep nobody a minute past the hour at which they are due at home, though they miss less than a third" do
    dancers = Array.new(10) { |i| { "id" => "d#{i}", "band" => i.zero? ? "8_11" : "adult" } }
    data = small("windows" => small["windows"].first(1), dancers:, bands: [{ "band" => "8_11", "home_by" => "18:50" }])
    data["unavailable"] = away("t", "2027-01-04", to: "18:25") + away("u", "2027-01-04")
    made = answer(plan(data))
    expect([blocks(made, "learn").first.values_at("start", "missing"), faults(data, made)]).to eq [[25, ["d0"]], []]
  end

  it "let the cheapest lead who is there lead, and nobody else" do
    data = small("windows" => small["windows"].first(1), unavailable: away("t", "2027-01-04"))
    expect(blocks(answer(plan(data)), "learn").first["lead"]).to eq ["u"]
    expect(blocks(answer(plan(small)), "learn").first["lead"]).to eq ["t"]
    data["unavailable"] += away("u", "2027-01-04")
    expect(answer(plan(data))["unplaced_minutes"]).to eq 30
  end

  it "never leave one minor alone with one grown-up" do
    data = small(dancers: [{ "id" => "d0", "band" => "8_11" }, { "id" => "d1", "band" => "adult" }])
    data["tasks"].first.merge!("may" => ["d0"], "enough" => 1)
    expect(answer(plan(data))["unplaced_minutes"]).to eq 30
    data["tasks"].first["leads"] = [{ "people" => %w[t u], "price" => 0 }]
    expect(answer(plan(data))["unplaced_minutes"]).to eq 0
  end

  it "put the piece that goes first where only one fits, and meet an aim before they save waiting" do
    tasks = %w[b a].map { |id| small["tasks"].first.merge("id" => id, "piece" => id, "minutes" => 40) }
    data = small("windows" => small["windows"].first(1), tasks:,
                 pieces: [{ "id" => "b", "order" => 2 }, { "id" => "a", "order" => 1 }])
    expect(answer(plan(data))["plan"].map { |block| block["task"] }).to eq ["a"]
    hurry = small(aims: [{ "task" => "learn", "date" => "2027-01-04" }],
                  unavailable: %w[d0 d1].flat_map { |who| away(who, "2027-01-04") })
    expect(answer(plan(hurry)).then { |made| [made["first_aim_missed"], blocks(made, "learn").first["window"]] })
      .to eq [0, "w0"]
    hurry["unavailable"] += away("d2", "2027-01-04")
    expect(answer(plan(hurry))["first_aim_missed"]).to eq 3
  end

  it "catch up whoever misses much, on an evening they come to, and say what found no place" do
    data = small(unavailable: %w[d0 d1].flat_map { |who| away(who, "2027-01-04") })
    data["tasks"].first["new"] = 5
    data["tasks"] << { "id" => "run", "kind" => "run", "minutes" => 10, "may" => small["dancers"], "enough" => 10,
                       "leads" => [{ "people" => ["t"], "price" => 0 }], "after" => ["learn"] }
    data["fixed"] = [{ "task" => "learn", "window" => "w0", "start" => 0, "minutes" => 30, "room" => "r" }]
    made = answer(plan(data))
    slot = made["plan"].find { |block| block["catches_up"] }
    expect(slot.values_at("catches_up", "who", "minutes", "lead")).to eq ["learn", %w[d0 d1], 15, ["t"]]
    expect([faults(data, made), made["unplaced_catch_ups"]]).to eq [[], 0]
    data["tasks"].pop
    expect(answer(plan(data))["unplaced_catch_ups"]).to eq 30
  end

  it "move a lesson to where all come, whatever it costs, rather than leave somebody who cannot catch up" do
    data = small(unavailable: %w[d0 d1].flat_map { |who| away(who, "2027-01-04") },
                 aims: [{ "task" => "learn", "date" => "2027-01-11" }])
    data["tasks"].first["new"] = 5
    data["tasks"] << { "id" => "clean", "kind" => "clean", "minutes" => 15, "may" => small["dancers"], "enough" => 8,
                       "leads" => [{ "people" => ["t"], "price" => 0 }] }
    data["fixed"] = [{ "task" => "clean", "window" => "w0", "start" => 0, "minutes" => 15, "room" => "r" }]
    made = answer(plan(data))
    expect([blocks(made, "learn").first["window"] == "w0", made["unplaced_catch_ups"]]).to eq [false, 0]
    data["tasks"].first["new"] = 4
    expect(blocks(answer(plan(data)), "learn").first["window"]).to eq "w0"
  end

  describe "the validator" do
    it "finds whatever is wrong" do
      data = StudioSeasons.one(Random.new(11), weeks: 3, dancers: 9, away: 0.1, sites: false)
      made = answer(plan(data))
      expect(faults(data, made)).to eq []
      missed = SpoiltAnswers::WAYS.keys.reject do |words|
        asked, bad = SpoiltAnswers.of(words, data, made)
        faults(asked, bad).any? { |fault| fault.include?(words) }
      end
      expect(missed).to eq []
    end
  end

  describe "the reader" do
    def told(**facts)
      Formats::PlanProblem.parse(small(**facts).to_json)
      []
    rescue Formats::FaultyFile => e
      e.faults
    end

    it "says where something is wrong, and reads its own answer back as a plan" do
      task = small["tasks"].first
      expect(told(tasks: [task.merge("enough" => 11)])).to eq ["tasks[0].enough: asks for 11 of 10 who may come"]
      expect(told(tasks: [task.merge("leads" => [{ "people" => ["x"] }])]))
        .to eq ['tasks[0].leads: names "x", which is not in the file']
      expect(told(aims: [{ "task" => "x", "date" => "2027-01-04" }]))
        .to eq ['aims: names "x", which is not in the file']
      party = small["windows"].first.merge("kind" => "party")
      expect(told(windows: [party]).first).to start_with "windows[0].kind: must"
      data = small(warm_up: 15, cool_down: 5)
      expect(told(**data, plan: answer(plan(data))["plan"])).to eq []
    end

    it "follows its schema, as the answer does" do
      data = StudioSeasons.one(Random.new(3))
      [["plan-problem-2", data], ["plan-result-2", answer(plan(data))]].each do |name, value|
        schema = JSONSchemer.schema(JSON.parse(File.read("docs/formats/#{name}.schema.json", encoding: "UTF-8")))
        expect(schema.validate(value).map { |each| each["error"] }).to eq []
      end
    end
  end
end
