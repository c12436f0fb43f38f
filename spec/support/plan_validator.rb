# frozen_string_literal: true

# Checks a plan against its problem straight from the JSON, minute by minute, knowing nothing of the solver.
class PlanValidator
  def initialize(problem, result)
    @problem = problem
    @result = result
    @windows = problem["windows"].to_h { |w| [w["id"], w] }
    @index = problem["windows"].each_with_index.to_h { |w, i| [w["id"], i] }
    @tasks = problem["tasks"].to_h { |t| [t["id"], t] }
    @blocks = result["plan"]
  end

  def faults = [*lengths, *bounds, *doubles, *absences, *capacity, *precedence, *stretches, *splits]

  private

  def people(block) = @tasks[block["task"]].values_at("dancers", "choreographers").flatten.uniq
  def minutes(block) = (block["start"]...(block["start"] + block["minutes"])).to_a
  def clock(text) = text.split(":").map(&:to_i).then { |h, m| (h * 60) + m }

  def lengths
    lost = @tasks.map do |id, task|
      [id, task["minutes"] - @blocks.select { |b| b["task"] == id }.sum { |b| b["minutes"] }]
    end
    wrong = lost.select { |_, left| left.negative? }.map { |id, _| "#{id} is placed for too long" }
    wrong << "unplaced minutes do not add up" unless lost.sum(&:last) == @result["unplaced_minutes"]
    wrong
  end

  def bounds
    @blocks.reject do |b|
      window = @windows[b["window"]]
      (b["start"] % @problem["grid"]).zero? && (b["minutes"] % @problem["grid"]).zero? && b["start"] >= 0 && b["start"] + b["minutes"] <= clock(window["end"]) - clock(window["start"])
    end.map { |b| "#{b['task']} leaves its window or the grid" }
  end

  def doubles
    busy = Hash.new(0)
    @blocks.each { |b| minutes(b).each { |m| [*people(b), "room #{b['room']}"].each { |who| busy[[b["window"], who, m]] += 1 } } }
    busy.select { |_, times| times > 1 }.keys.map { |window, who, m| "#{who} is twice at once in #{window} at #{m}" }
  end

  def absences
    @problem["unavailable"].flat_map do |away|
      from = away["from"] ? clock(away["from"]) : 0
      to = away["to"] ? clock(away["to"]) : 1440
      hit = @blocks.select do |b|
        window = @windows[b["window"]]
        window["date"] == away["date"] && [*people(b), b["room"]].include?(away["who"]) && minutes(b).any? { |m| (clock(window["start"]) + m).between?(from, to - 1) }
      end
      hit.map { |b| "#{away['who']} is away for #{b['task']}" }
    end
  end

  def capacity
    @blocks.select { |b| @windows[b["window"]]["rooms"].find { |r| r["id"] == b["room"] }["capacity"] < @tasks[b["task"]]["dancers"].size }.map { |b| "#{b['task']} in too small a room" }
  end

  def precedence
    @blocks.flat_map do |b|
      start = [@index[b["window"]], b["start"]]
      task = @tasks[b["task"]]
      [*task["after"].select { |id| late?(id) { |e| ([@index[e["window"]], e["start"] + e["minutes"]] <=> start).positive? } },
       *task["after_window"].select { |id| late?(id) { |e| @index[e["window"]] >= start.first } }].map { |id| "#{b['task']} comes before #{id} is done" }
    end
  end

  def late?(id, &)
    parts = @blocks.select { |b| b["task"] == id }
    parts.sum { |b| b["minutes"] } < @tasks[id]["minutes"] || parts.any?(&)
  end

  def stretches
    @blocks.group_by { |b| b["window"] }.flat_map do |window, blocks|
      blocks.flat_map { |b| people(b) }.uniq.filter_map do |who|
        worked = blocks.select { |b| people(b).include?(who) }.flat_map { |b| minutes(b) }.sort
        runs = worked.slice_when { |a, b| b - a - 1 >= @problem["break"] }
        "#{who} works too long in #{window}" if runs.any? { |run| run.last - run.first + 1 > @problem["max_continuous"] }
      end
    end
  end

  def splits
    @tasks.flat_map do |id, task|
      parts = @blocks.select { |b| b["task"] == id }
      next ["#{id} is split"] if parts.size > 1 && !task["split"]
      next ["#{id} twice in a rehearsal"] if parts.map { |b| b["window"] }.uniq.size < parts.size

      parts.size > 1 && parts.any? { |b| b["minutes"] < @problem["min_part"] } ? ["#{id} has a part that is too short"] : []
    end
  end
end
