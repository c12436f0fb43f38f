# frozen_string_literal: true

# A case of spec/corpus/seasons.json: its problem as a plan-problem-1 object, and what an answer says to what is
# expected.
class WorkedSeason
  # id => [date, start, end, rooms].
  EVENINGS = {
    "mon" => ["2027-01-04", "18:00", "19:00", %w[hall]],
    "thu" => ["2027-01-07", "18:00", "19:00", %w[hall]],
    "fri" => ["2027-01-09", "18:00", "19:00", %w[hall]],
    "long" => ["2027-01-08", "18:00", "20:00", %w[hall]],
    "two" => ["2027-01-10", "18:00", "19:00", %w[loft hall]],
    "short" => ["2027-01-11", "18:00", "18:20", %w[hall]],
    "short2" => ["2027-01-12", "18:00", "18:20", %w[hall]],
    "short3" => ["2027-01-13", "18:00", "18:20", %w[hall]]
  }.freeze
  PARTS = { "parts" => "minutes", "starts" => "start", "windows" => "window", "rooms" => "room" }.freeze

  attr_reader :name

  def self.all
    text = File.read(File.expand_path("../corpus/seasons.json", __dir__), encoding: "UTF-8")
    JSON.parse(text).map { |given| new(given) }
  end

  def initialize(given)
    @name = given["name"]
    @given = given["problem"]
    @expected = given["expect"].except("either")
    @either = given["expect"].key?("either")
  end

  def problem
    people =
      %w[dancers choreographers].to_h { |role| [role, @given["tasks"].flat_map { |task| task.fetch(role, []) }.uniq] }
    {
      "format" => "plan-problem-1",
      **people,
      **@given.except("capacity"),
      "windows" => @given["windows"].sort_by { |id| EVENINGS[id].first }.map { |id| window(id) }
    }
  end

  # What may come out: as it is written, or with two tasks in each other's place where that is as good.
  def ways
    @either ? [@expected, JSON.parse(@expected.to_json.gsub(/"[ab]"/, '"a"' => '"b"', '"b"' => '"a"'))] : [@expected]
  end

  # The answer's words for each thing that is expected.
  def said(answer)
    plan = answer["plan"].sort_by { |block| [block["window"], block["start"]] }
    ways.map { |way| way.to_h { |key, wanted| [key, word(answer, plan, key, wanted)] } }
  end

  private

  def window(id)
    date, from, to, rooms = EVENINGS.fetch(id)
    {
      "id" => id,
      "date" => date,
      "start" => from,
      "end" => to,
      "rooms" => rooms.map { |room| { "id" => room, "capacity" => room == "loft" ? 2 : @given.fetch("capacity", 9) } }
    }
  end

  def word(answer, plan, key, wanted)
    return wanted.keys.to_h { |id| [id, parts(plan, id, key)] } if PARTS.key?(key)

    in_plan(plan, key, wanted) || in_answer(answer, key)
  end

  def parts(plan, id, key) = plan.select { |block| block["task"] == id }.map { |block| block[PARTS[key]] }

  def in_plan(plan, key, wanted)
    case key
    when "plan" then wanted.map { |id, *| block(plan.find { |block| block["task"] == id }) }
    when "last" then block(plan.max_by { |block| block["start"] })
    when "middle" then plan[1]["task"]
    when "gaps" then plan.each_cons(2).map { |one, other| other["start"] - one["start"] - one["minutes"] }
    end
  end

  def block(found) = found&.values_at("task", "window", "start", "minutes")

  def in_answer(answer, key)
    case key
    when "calls" then answer["calls"].map { |call| call.values_at("who", "call", "release", "waiting") }
    when "re_warms" then answer["re_warms"].map { |each| each.values_at("window", "start", "dancers") }
    when "reason" then answer["reasons"].first["type"]
    when "who", "need", "have", "short" then answer["reasons"].first[key]
    else answer[key]
    end
  end
end
