# frozen_string_literal: true

# An answer to a season of StudioSeasons that breaks no rule, spoilt in one way each.
module SpoiltAnswers
  module_function

  # [problem, answer] as copies, one of them spoilt.
  def of(words, problem, answer)
    bad, asked = [answer, problem].map { |each| JSON.parse(each.to_json) }
    instance_exec(bad, asked, &WAYS.fetch(words))
    [asked, bad]
  end

  def work(made) = made["plan"].select { |block| block["task"] }
  def block(made, task) = made["plan"].find { |each| each["task"] == task }
  def learned(made) = block(made, "plearn0")
  def caught = { "catches_up" => "plearn0", "who" => ["d1"], "start" => 0, "minutes" => 25 }
  def rooms(data) = data["windows"].flat_map { |window| window["rooms"] }
  def day(block, data) = data["windows"].find { |window| window["id"] == block["window"] }["date"]
  def ran(made, data) = day(block(made, "prun0"), data)
  def gone(people, block, data) = people.map { |who| { "who" => who, "date" => day(block, data) } }

  # {words of the fault that is to be told => what spoils [answer, problem]}.
  WAYS = {
    "off the grid" => ->(made, _) { work(made).first["start"] += 1 },
    "outside" => ->(made, _) { work(made).last["start"] = 200 },
    "at once" => ->(made, _) { made["plan"] << work(made).first.merge("task" => "qrun0", "room" => "B") },
    "one room" => ->(made, _) { made["plan"] << work(made).first.dup },
    "has no room" => ->(made, _) { work(made).first["room"] = "nowhere" },
    "is too many" => ->(_, data) { rooms(data).each { |room| room["capacity"] = 1 } },
    "refused by its room" => ->(_, data) { rooms(data).each { |room| room["not"] = ["full_out"] } },
    "must be in" => ->(made, data) { learned(made)["missing"] = data["tasks"].first["must"] },
    "too few" => ->(made, data) { learned(made)["missing"] = data["tasks"].first["may"] },
    "group is too small" => ->(made, data) { learned(made)["missing"] = data["tasks"].first["groups"][0]["people"] },
    "is away from" => ->(made, data) { data["unavailable"] += gone(data["tasks"].first["must"], learned(made), data) },
    "led by nobody" => ->(made, _) { work(made).first["lead"] = ["d1"] },
    "and is away" => ->(made, data) { data["unavailable"] += gone(learned(made)["lead"], learned(made), data) },
    "comes before" => ->(_, data) { data["tasks"].first["after"] = ["prun1"] },
    "is no show" => ->(made, data) { data["windows"].find { |w| w["id"] == learned(made)["window"] }["kind"] = "show" },
    "nothing new" => ->(_, data) { data["windows"].each { |each| each["no_new"] = true } },
    "home late" => ->(_, data) { data["bands"].each { |band| band["home_by"] = "17:50" } },
    "too much" => ->(_, data) { data["bands"].each { |band| band["minutes_a_day"] = 20 } },
    "without a rest" => ->(_, data) { data["max_continuous"] = 10 },
    "is cold" => ->(made, _) { made["plan"].reject! { |each| each["kind"] == "warm_up" } },
    "cool down" => ->(made, _) { made["plan"].reject! { |each| each["kind"] == "cool_down" } },
    "grown cold" => ->(_, data) { data["re_warm_after"] = 1 },
    "before a show" => ->(made, data) { data["show_date"] = (Date.iso8601(ran(made, data)) + 1).iso8601 },
    "catches up too long" => ->(made, _) { made["plan"] << learned(made).except("task").merge(caught) },
    "cut up" => ->(made, _) { made["plan"] << block(made, "pjoin1").merge("window" => "w1") },
    "unplaced is" => ->(made, _) { made["plan"].delete(learned(made)) },
    "first aim" => ->(_, data) { data["aims"].each { |aim| aim["date"] = "2027-01-01" } }
  }.freeze
end
