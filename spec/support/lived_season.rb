# frozen_string_literal: true

# A made-up season of two pieces (StudioSeasons) lived evening after evening: what is planned for an evening is held,
# then something happens or nothing does, and what is ahead is planned again. Works with files alone.
class LivedSeason
  attr_reader :data, :held

  def initialize(story)
    @story = story
    @data = StudioSeasons.one(Random.new(story["seed"]), weeks: story["weeks"], dancers: story["dancers"],
                                                         away: story["away"], sites: story.fetch("sites", false))
    @held = []
    @done = Hash.new(0)
  end

  # Yields [what happened or nil, plan before, plan after] once for each evening.
  def live
    plan = solve(problem)
    @data["windows"].map { |window| window["id"] }.each_with_index do |id, at|
      hold(plan, id)
      break if at == @data["windows"].size - 1

      event = happen(at + 1)
      after = again(plan, @data["windows"][at + 1]["id"])
      yield event, plan, after
      plan = after
    end
  end

  # The season as it was held, as an answer to the file as it was in the end.
  def answer
    { "plan" => @held, "unplaced_minutes" => left, "first_aim_missed" => late }
  end

  # Minutes of a plan's placements ahead of an evening: [[task, window, start, minutes, room], …].
  def self.ahead(plan, ids)
    plan.placements.select { |each| ids.include?(each.window) }
      .map { |each| [each.task, each.window, each.start, each.minutes, each.room] }
  end

  def ids_from(id) = @data["windows"].map { |window| window["id"] }.drop_while { |each| each != id }

  private

  def problem = Formats::PlanProblem.parse(@data.to_json).first
  def solve(asked) = Core::Planning::Solver.new(asked, effort: "quick").plan

  def hold(plan, id)
    made = JSON.parse(Formats::PlanResult.render(plan, seconds: 0, say: ->(*) { "" }, studio: true))
    blocks = made["plan"].select { |block| block["window"] == id }
    @held.concat(blocks)
    blocks.each { |block| @done[block["task"]] += block["minutes"] if block["task"] }
  end

  def again(plan, now)
    told = plan.placements.select { |each| ids_from(now).include?(each.window) }
    Core::Planning::Replanning.new(problem.with(now:, plan: told, done: @done.dup), effort: "quick").best
  end

  # What happens before the next evening.
  def happen(at)
    event = @story.dig("then", (at - 1).to_s) or return
    window = @data["windows"][at]
    case event
    when "lost" then cancel(window)
    when "room" then window["rooms"].pop
    when "longer" then longer
    else @data["unavailable"] << { "who" => event.split.first, "date" => window["date"] }
    end
    event
  end

  # Nobody can come on a day that falls away.
  def cancel(window)
    window["rooms"].each { |room| room["capacity"] = 0 }
  end

  # Something that is not done yet takes a quarter of an hour more.
  def longer
    task = @data["tasks"].find { |each| each["kind"] == "learn" && @done[each["id"]] < each["minutes"] }
    task["minutes"] += 15 if task
  end

  def left = @data["tasks"].sum { |task| task["minutes"] - @done[task["id"]] }

  def late
    days = @data["windows"].to_h { |window| [window["id"], Date.iso8601(window["date"])] }
    @data["aims"].sort_by { |aim| aim["date"] }.map do |aim|
      last = @held.select { |block| block["task"] == aim["task"] }.map { |block| days[block["window"]] }.max
      last ? (last - Date.iso8601(aim["date"])).to_i : 0
    end.find(&:positive?) || 0
  end
end
