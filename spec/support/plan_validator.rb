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
    @ends = result.fetch("bookends", [])
    @everything = @blocks + @ends
  end

  def faults
    [
      *lengths,
      *bounds,
      *doubles,
      *absences,
      *capacity,
      *precedence,
      *stretches,
      *splits,
      *days,
      *recaps,
      *musics,
      *warmed
    ]
  end

  private

  def people(block)
    (block["task"] ? @tasks[block["task"]] : block).values_at("dancers", "choreographers").flatten.uniq
  end

  def name(block) = block["task"] || block["kind"]
  def material(block) = block["task"] ? [block["task"]] : block["tasks"]
  def minutes(block) = (block["start"]...(block["start"] + block["minutes"])).to_a
  def clock(text) = text.split(":").map(&:to_i).then { |h, m| (h * 60) + m }

  def lengths
    lost = @tasks.map do |id, task|
      [id, task["minutes"] - done(id) - @blocks.select { |b| b["task"] == id }.sum { |b| b["minutes"] }]
    end
    wrong = lost.select { |_, left| left.negative? }.map { |id, _| "#{id} is placed for too long" }
    wrong << "unplaced minutes do not add up" unless lost.sum(&:last) == @result["unplaced_minutes"]
    wrong
  end

  def bounds
    @everything.reject { |b| within?(b) }.map { |b| "#{name(b)} leaves its window or the grid" }
  end

  def within?(block)
    window = @windows[block["window"]]
    (block["start"] % @problem["grid"]).zero? && (block["minutes"] % @problem["grid"]).zero? && block["start"] >= 0 &&
      block["start"] + block["minutes"] <= clock(window["end"]) - clock(window["start"])
  end

  def doubles
    busy = Hash.new(0)
    @everything.each do |b|
      minutes(b).each { |m| [*people(b), "room #{b['room']}"].each { |who| busy[[b["window"], who, m]] += 1 } }
    end
    busy.select { |_, times| times > 1 }.keys.map { |window, who, m| "#{who} is twice at once in #{window} at #{m}" }
  end

  def absences
    @problem["unavailable"].flat_map do |away|
      from = away["from"] ? clock(away["from"]) : 0
      to = away["to"] ? clock(away["to"]) : 1440
      hit = @everything.select do |b|
        window = @windows[b["window"]]
        window["date"] == away["date"] && [*people(b), b["room"]].include?(away["who"]) &&
          minutes(b).any? { |m| (clock(window["start"]) + m).between?(from, to - 1) }
      end
      hit.map { |b| "#{away['who']} is away for #{name(b)}" }
    end
  end

  def capacity
    small = @everything.select do |b|
      room = @windows[b["window"]]["rooms"].find { |r| r["id"] == b["room"] }
      room["capacity"] < (@tasks[b["task"]] || b)["dancers"].size
    end
    small.map { |b| "#{name(b)} in too small a room" } + stepped
  end

  def stepped
    wheels = @problem.fetch("wheels", [])
    wrong = @everything.select do |b|
      room = @windows[b["window"]]["rooms"].find { |r| r["id"] == b["room"] }
      room["steps"] && (@tasks[b["task"]] || b)["dancers"].intersect?(wheels)
    end
    wrong.map { |b| "#{name(b)} with wheels up steps" }
  end

  def precedence
    @blocks.flat_map do |b|
      start = [@index[b["window"]], b["start"]]
      task = @tasks[b["task"]]
      [
        *task["after"].select do |id|
          late?(id) { |e| ([@index[e["window"]], e["start"] + e["minutes"]] <=> start).positive? }
        end,
        *task["after_window"].select { |id| late?(id) { |e| @index[e["window"]] >= start.first } }
      ].map do |id|
        "#{b['task']} comes before #{id} is done"
      end
    end
  end

  def late?(id, &)
    parts = @blocks.select { |b| b["task"] == id }
    parts.sum { |b| b["minutes"] } < @tasks[id]["minutes"] || parts.any?(&)
  end

  def done(id) = @problem.fetch("done", []).select { |each| each["task"] == id }.sum { |each| each["minutes"] }

  # Minutes (of the window) on which somebody works on anything, in rising order.
  def worked(who, window)
    own = @everything.select { |b| b["window"] == window && people(b).include?(who) }.flat_map { |b| minutes(b) }
    (own + other_work(who, window)).uniq.sort
  end

  def other_work(who, window)
    start, finish = @windows[window].values_at("start", "end").map { |text| clock(text) }
    same =
      @problem["unavailable"].select do |away|
        away["work"] && away["who"] == who && away["date"] == @windows[window]["date"]
      end
    same
      .flat_map { |away| (clock(away["from"])...clock(away["to"])).to_a & (start...finish).to_a }
      .map { |minute| minute - start }
  end

  def everybody_in(window) = @everything.select { |b| b["window"] == window }.flat_map { |b| people(b) }.uniq

  # No stretch of work is too long, minutes of warming up again included.
  def stretches
    @windows.keys.product(rests).flat_map do |window, (most, rest)|
      everybody_in(window).filter_map do |who|
        minutes = worked(who, window)
        runs = minutes.slice_when { |a, b| b - a - 1 >= rest }.to_a
        long =
          runs.each_with_index.any? do |run, i|
            run.last - run.first + 1 + (i.positive? ? again(who, runs[i - 1], run) : 0) > most
          end
        "#{who} works too long in #{window}" if long
      end
    end
  end

  def rests
    [
      [@problem["max_continuous"], @problem["break"]],
      *@problem.fetch("rests", []).map { |each| each.values_at("most", "rest") }
    ]
  end

  # Minutes somebody warms up again before a stretch.
  def again(who, before, run)
    rule = @problem["rewarm"]
    rule && @problem["dancers"].include?(who) && run.first - before.last - 1 >= rule["idle"] ? rule["minutes"] : 0
  end

  # Nobody does more on a day than their limit: work of all kinds, what stands around it, warming up again.
  def days
    @problem.fetch("limits", []).flat_map do |limit|
      who = limit["who"]
      @windows.values.group_by { |window| window["date"] }.filter_map do |date, windows|
        here = windows.map { |window| window["id"] }.select { |id| everybody_in(id).include?(who) }
        "#{who} does too much on #{date}" if here.any? && day(who, date, here) > limit["minutes_per_day"]
      end
    end
  end

  def day(who, date, windows)
    own = @everything.select { |b| windows.include?(b["window"]) && people(b).include?(who) }.sum { |b| b["minutes"] }
    other =
      @problem["unavailable"]
        .select { |away| (away["work"] || away["frame"]) && away["who"] == who && away["date"] == date }
        .sum { |away| clock(away["to"]) - clock(away["from"]) }
    warmed =
      windows.sum do |window|
        worked(who, window).slice_when { |a, b| b > a + 1 }.each_cons(2).sum { |before, run| again(who, before, run) }
      end
    own + other + warmed + (@problem.fetch("frame_minutes", 0) * windows.size)
  end

  # A recap holds what its dancers learned in an earlier rehearsal, before they do anything else.
  def recaps
    @ends.select { |b| b["kind"] == "recap" }.flat_map do |recap|
      first =
        @blocks
          .select { |b| b["window"] == recap["window"] && people(b).intersect?(recap["dancers"]) }
          .map { |b| b["start"] }
          .min
      early = first && recap["start"] + recap["minutes"] <= first
      known = recap["tasks"].all? { |id| learned_before?(id, recap["window"]) }
      early && known ? [] : ["a recap in #{recap['window']} is late, or of nothing"]
    end
  end

  def learned_before?(id, window)
    @problem.fetch("lately", []).any? { |task| task["id"] == id } ||
      @blocks.any? { |b| b["task"] == id && @index[b["window"]] < @index[window] }
  end

  # What is danced to music was new in that rehearsal, earlier on.
  def musics
    @ends.select { |b| b["kind"] == "to_music" }.flat_map do |music|
      lessons = music["tasks"].map { |id| @blocks.select { |b| b["task"] == id && b["window"] == music["window"] } }
      if lessons.all? { |same| same.any? && same.all? { |b| b["start"] + b["minutes"] <= music["start"] } }
        []
      else
        ["music in #{music['window']} comes before what it is for"]
      end
    end
  end

  # Whoever was idle long enough warms up again, just before going on; nobody else does.
  def warmed
    return [] unless @problem["rewarm"]

    told =
      @result["re_warms"]
        .flat_map { |each| each["dancers"].map { |who| [each["window"], who, each["start"] + each["minutes"]] } }
        .sort
    due = @windows.keys.flat_map do |window|
      everybody_in(window).flat_map do |who|
        worked(who, window)
          .slice_when { |a, b| b > a + 1 }
          .each_cons(2)
          .select { |before, run| again(who, before, run).positive? }
          .map { |_, run| [window, who, run.first] }
      end
    end
    told == due.sort ? [] : ["warming up again: told #{told - due}, due #{due - told}"]
  end

  def splits
    @tasks.flat_map do |id, task|
      parts = @blocks.select { |b| b["task"] == id }
      next ["#{id} is split"] if parts.size > 1 && !task["split"]
      next ["#{id} twice in a rehearsal"] if parts.map { |b| b["window"] }.uniq.size < parts.size

      if parts.size > 1 && parts.any? { |b| b["minutes"] < @problem["min_part"] }
        ["#{id} has a part that is too short"]
      else
        []
      end
    end
  end
end
