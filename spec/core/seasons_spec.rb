# frozen_string_literal: true

require "support/plan_validator"

# Small seasons worked out by hand (spec/corpus/seasons.json): what the planner makes of them, from file to file.
RSpec.describe Core::Planning do
  # The evenings of the corpus: {id => [date, start, end, rooms]}.
  evenings = { "mon" => ["2027-01-04", "18:00", "19:00", %w[hall]], "thu" => ["2027-01-07", "18:00", "19:00", %w[hall]], "fri" => ["2027-01-09", "18:00", "19:00", %w[hall]],
               "long" => ["2027-01-08", "18:00", "20:00", %w[hall]], "two" => ["2027-01-10", "18:00", "19:00", %w[loft hall]],
               "short" => ["2027-01-11", "18:00", "18:20", %w[hall]], "short2" => ["2027-01-12", "18:00", "18:20", %w[hall]], "short3" => ["2027-01-13", "18:00", "18:20", %w[hall]] }

  # The problem of a case as a plan-problem-1 object.
  def whole(given, evenings)
    rooms = { "hall" => given.delete("capacity") || 9, "loft" => 2 }
    windows = given["windows"].sort_by { |id| evenings[id].first }.map do |id|
      date, from, to, names = evenings[id]
      { "id" => id, "date" => date, "start" => from, "end" => to, "rooms" => names.map { |name| { "id" => name, "capacity" => rooms[name] } } }
    end
    people = %w[dancers choreographers].to_h { |role| [role, given["tasks"].flat_map { |task| task.fetch(role, []) }.uniq] }
    { "format" => "plan-problem-1", **people, **given, "windows" => windows }
  end

  def solve(asked) = asked.plan.any? ? Core::Planning::Replan.new(asked, effort: "quick").best : Core::Planning::Solver.new(asked, effort: "quick").plan

  # What an answer says to each thing that can be expected.
  def said(answer, key, asked)
    plan = answer["plan"].sort_by { |block| [block["window"], block["start"]] }
    case key
    when "plan" then asked.map { |id, *| plan.find { |block| block["task"] == id }&.values_at("task", "window", "start", "minutes") }
    when "last" then plan.max_by { |block| block["start"] }.values_at("task", "window", "start", "minutes")
    when "middle" then plan.map { |block| block["task"] }[1]
    when "calls" then answer["calls"].map { |call| call.values_at("who", "call", "release", "waiting") }
    when "parts", "starts", "windows", "rooms" then asked.keys.to_h { |id| [id, of(plan, id, key)] }
    when "gaps" then asked.to_h { |who, _| [who, plan.each_cons(2).map { |one, other| other["start"] - one["start"] - one["minutes"] }] }
    when "re_warms" then answer["re_warms"].map { |each| each.values_at("window", "start", "dancers") }
    when "reason" then answer["reasons"].first["type"]
    when "who", "need", "have", "short" then answer["reasons"].first[key]
    else answer[key]
    end
  end

  def of(plan, id, key)
    own = plan.select { |block| block["task"] == id }.map { |block| block[{ "parts" => "minutes", "starts" => "start", "windows" => "window", "rooms" => "room" }.fetch(key)] }
    key == "rooms" ? own.first : own
  end

  # The same expectation with two tasks in each other's place.
  def swapped(text) = text.gsub(/"(a|b)"/) { Regexp.last_match(1) == "a" ? '"b"' : '"a"' }

  JSON.parse(File.read(File.expand_path("../corpus/seasons.json", __dir__))).each do |given|
    it given["name"] do
      asked, = Formats::PlanProblem.parse(whole(given["problem"], evenings).to_json)
      answer = JSON.parse(Formats::PlanResult.render(solve(asked), seconds: 0))
      expect(PlanValidator.new(JSON.parse(Formats::PlanProblem.render(asked)), answer).faults).to eq []
      wanted = given["expect"]
      ways = wanted.delete("either") ? [wanted, JSON.parse(swapped(wanted.to_json))] : [wanted]
      found = ways.map { |way| way.to_h { |key, value| [key, said(answer, key, value)] } }
      expect(found.zip(ways)).to include(satisfy { |one, other| one == other })
    end
  end
end
