# frozen_string_literal: true

# Checks a plan-result-2 against its plan-problem-2, minute by minute and from the JSON alone: it shares nothing with
# what makes plans.
class StudioPlanValidator
  def initialize(problem, result)
    @p = problem
    @r = result
    @windows = problem["windows"].to_h { |window| [window["id"], window] }
    @tasks = problem["tasks"].to_h { |task| [task["id"], task] }
    @dancers = problem["dancers"].to_h { |each| each.is_a?(Hash) ? [each["id"], each["band"]] : [each, nil] }
    @blocks = result["plan"].map { |block| block.merge("from" => clock(block), "people" => people(block)) }
    @work = @blocks.reject { |block| %w[warm_up re_warm cool_down].include?(block["kind"]) }
  end

  # [what is wrong], empty where nothing is.
  def faults
    [*shapes, *twice, *rooms, *attendance, *leads, *order, *kinds, *days, *stretches, *warmth, *full_out, *catch_ups,
     *totals].uniq
  end

  private

  def minutes(text) = text.split(":").map(&:to_i).then { |hour, minute| (hour * 60) + minute }
  def window(block) = @windows.fetch(block["window"])
  def day(block) = window(block)["date"]
  def clock(block) = minutes(@windows.fetch(block["window"])["start"]) + block["start"]
  def ends(block) = block["from"] + block["minutes"]
  def overlap?(one, other) = day(one) == day(other) && one["from"] < ends(other) && other["from"] < ends(one)
  def task(block) = @tasks[block["task"]]
  def asked(task) = [*task["must"], *task["may"], *task["dancers"]].uniq
  def name(block) = "#{block['task'] || block['kind'] || "catch-up #{block['catches_up']}"} in #{block['window']}"

  def people(block)
    return [*block["who"], *block["lead"]].uniq unless block["task"]

    [*(asked(task(block)) - Array(block["missing"])), *block["lead"], *task(block)["choreographers"]].uniq
  end

  # Minutes of a block at which somebody is away by the calendar.
  def gone(who, block)
    own = Array(@p["unavailable"]).select { |entry| entry["who"] == who && entry["date"] == day(block) }
    spans = own.map { |entry| [entry["from"] ? minutes(entry["from"]) : 0, entry["to"] ? minutes(entry["to"]) : 1440] }
    (block["from"]...ends(block)).select { |at| spans.any? { |from, to| at >= from && at < to } }
  end

  def home(who)
    by = Array(@p["bands"]).find { |band| band["band"] == @dancers[who] }&.[]("home_by")
    by ? minutes(by) : 1440
  end

  def shapes
    grid = @p["grid"] || 5
    @work.flat_map do |block|
      long = minutes(window(block)["end"]) - minutes(window(block)["start"])
      [("#{name(block)} is off the grid" unless (block["start"] % grid).zero? && (block["minutes"] % grid).zero?),
       ("#{name(block)} lies outside" if block["start"].negative? || block["start"] + block["minutes"] > long)]
    end.compact
  end

  def twice
    @blocks.combination(2).select { |one, other| overlap?(one, other) }.filter_map do |one, other|
      both = (one["people"] & other["people"]).reject { |who| late?(who, one) || late?(who, other) }
      "#{both.join(', ')} at once in #{name(one)} and #{name(other)}" if both.any?
    end
  end

  # Who comes late, warming up counted, or leaves early is in the block for its other minutes.
  def late?(who, block) = block["task"] && constrained?(who, block)

  def rooms
    pairs = @blocks.select { |block| block["room"] }.combination(2).select do |one, other|
      one["room"] == other["room"] && overlap?(one, other)
    end
    pairs.map { |one, other| "#{name(one)} and #{name(other)} in one room" } + @blocks.filter_map { |b| room_fault(b) }
  end

  def room_fault(block)
    return unless block["room"]

    room = window(block)["rooms"].find { |each| each["id"] == block["room"] } or return "#{name(block)} has no room"
    marks = block["task"] ? %w[lift jump full_out].select { |mark| task(block)[mark] } : []
    return "#{name(block)} is refused by its room" if marks.intersect?(Array(room["not"]))

    dancing = block["people"].count { |who| @dancers.key?(who) }
    "#{name(block)} is too many for its room" if dancing > room["capacity"]
  end

  def attendance
    @work.select { |block| block["task"] }.flat_map do |block|
      task = task(block)
      must = [*task["must"], *(task["dancers"] unless task["may"]), *task["choreographers"]]
      here = asked(task) - Array(block["missing"])
      [*must.select { |who| gone(who, block).any? }.map { |who| "#{who} is away from #{name(block)}" },
       *(Array(block["missing"]) & must).map { |who| "#{who} must be in #{name(block)}" },
       ("too few in #{name(block)}" if (Array(task["may"]) & here).size < task["enough"].to_i),
       *Array(task["groups"]).reject { |group| (group["people"] & here).size >= group["enough"] }
         .map { "a group is too small in #{name(block)}" }, *derived(task, block)]
    end.compact
  end

  # A third of a block: who misses more of it, warming up on coming counted, is not there.
  def derived(task, block)
    Array(task["may"]).filter_map do |who|
      missed = gone(who, block).size
      said = Array(block["missing"]).include?(who)
      next "#{who} is said to be in #{name(block)}" if !said && missed * 3 > block["minutes"]

      "#{who} is said to miss #{name(block)}" if said && missed.zero? && !constrained?(who, block)
    end
  end

  # Whoever comes just before, or is due at home, may not be there though the calendar has them.
  def constrained?(who, block)
    around = @p["warm_up"].to_i + 5
    near = block.merge("from" => block["from"] - around, "minutes" => block["minutes"] + (around * 2))
    gone(who, near).any? || ends(block) + @p["cool_down"].to_i > home(who)
  end

  def leads
    @work.flat_map do |block|
      task = @tasks[block["task"] || block["catches_up"]]
      wrong = task["leads"]&.none? { |lead| lead["people"].sort == Array(block["lead"]).sort }
      away = Array(block["lead"]).select { |who| gone(who, block).any? }
      small = block["people"].select { |who| @dancers[who] && @dancers[who] != "adult" }
      [("#{name(block)} is led by nobody of its leads" if wrong),
       *away.map { |who| "#{who} leads #{name(block)} and is away" },
       ("#{small.first} is alone with one grown-up in #{name(block)}" if block["people"].size == 2 && small.size == 1)]
    end.compact
  end

  def order = @tasks.values.flat_map { |task| waited(task).map { |id| "#{task['id']} comes before #{id}" } }

  # Ids of what a task waits for and comes before.
  def waited(task)
    first = times(task["id"], 0).min or return []
    last = ->(id) { times(id, 1).max }
    Array(task["after"]).select { |id| last.call(id).nil? || (last.call(id) <=> first).positive? } +
      Array(task["after_window"]).select { |id| last.call(id).nil? || last.call(id).first >= first.first }
  end

  # [[window's index, minute], …] at which the blocks of a task begin, or end (share 1).
  def times(id, share)
    @at ||= @p["windows"].each_with_index.to_h { |each, i| [each["id"], i] }
    @work.select { |block| block["task"] == id }
      .map { |block| [@at[block["window"]], block["start"] + (share * block["minutes"])] }
  end

  def kinds
    takes = { "photo" => [], "show" => [], "dress" => %w[run] }
    @work.select { |block| block["task"] }.filter_map do |block|
      only = takes[window(block)["kind"]]
      next "#{name(block)} is no #{window(block)['kind']}" if only && !only.include?(task(block)["kind"])

      "#{name(block)} is new where nothing new is set" if window(block)["no_new"] && task(block)["new"].to_f.positive?
    end
  end

  def each_day
    @blocks.group_by { |block| day(block) }.each do |date, blocks|
      @dancers.each_key do |who|
        own = blocks.select { |block| block["people"].include?(who) }.sort_by { |block| block["from"] }
        yield who, date, own if own.any?
      end
    end
  end

  def days
    found = []
    each_day do |who, date, own|
      band = Array(@p["bands"]).find { |each| each["band"] == @dancers[who] } || {}
      limits = Array(@p["limits"]).select { |limit| limit["who"] == who }.map { |limit| limit["minutes_per_day"] }
      most = [band["minutes_a_day"], *limits].compact.min
      found << "#{who} is home late on #{date}" if own.map { |block| ends(block) }.max > home(who)
      found << "#{who} does too much on #{date}" if most && own.sum { |block| block["minutes"] } > most
    end
    found
  end

  # Work without a rest: minutes in a row with gaps shorter than a break.
  def stretches
    found = []
    rest = @p["break"] || 5
    each_day do |who, date, own|
      band = Array(@p["bands"]).find { |each| each["band"] == @dancers[who] } || {}
      most = [band["on_end"], @p["max_continuous"] || 55].compact.min
      work = own.select { |block| @work.include?(block) }
      runs = work.slice_when { |one, other| other["from"] - ends(one) >= rest }
      long = runs.any? { |run| ends(run.last) - joins(run.first, own) > most }
      found << "#{who} works too long without a rest on #{date}" if long
    end
    found
  end

  # Who comes late begins when they are warm.
  def joins(block, own)
    warming = own.select { |each| each["kind"] == "warm_up" && each["from"] <= block["from"] }
    [block["from"], *warming.map { |each| ends(each) }].max
  end

  def warmth
    found = []
    each_day do |who, date, own|
      work = own.select { |block| @work.include?(block) } or next
      next if work.empty?

      found << "#{who} is cold on #{date}" if @p["warm_up"].to_i.positive? && own.first["kind"] != "warm_up"
      cools = @p["cool_down"].to_i.zero? || own.last["kind"] == "cool_down"
      found << "#{who} does not cool down on #{date}" unless cools
      again = own.each_cons(2).any? do |one, other|
        idle = @p["re_warm_after"] && other["from"] - ends(one) >= @p["re_warm_after"]
        idle && other["kind"] != "re_warm"
      end
      found << "#{who} has grown cold on #{date}" if again
    end
    found
  end

  def full_out
    full = @work.select { |block| block["task"] && task(block)["full_out"] }
    full.select { |block| eves.include?(day(block)) }.map { |block| "#{name(block)} is the evening before a show" } +
      full.combination(2).select { |one, other| too_soon?(one, other) }
        .map { |one, other| "#{name(one)} and #{name(other)} are full out too soon" }
  end

  def eves
    shows = @p["windows"].select { |each| each["kind"] == "show" }.map { |each| each["date"] }
    [@p["show_date"], *shows].compact.map { |date| (Date.iso8601(date) - 1).iso8601 }
  end

  def too_soon?(one, other)
    gap = [one["from"] - ends(other), other["from"] - ends(one)].max
    day(one) == day(other) && (one["people"] & other["people"]).any? { |who| @dancers.key?(who) } && gap < 20
  end

  def catch_ups
    slots = @work.select { |block| block["catches_up"] }
    over = slots.flat_map { |block| block["who"].map { |who| [who, day(block), block["minutes"]] } }
      .group_by { |who, date, _| [who, date] }.select { |_, same| same.sum(&:last) > 15 }
    uncalled = slots.flat_map { |slot| slot["who"].reject { |who| called?(who, slot) }.map { |who| [who, slot] } }
    over.keys.map { |who, date| "#{who} catches up too long on #{date}" } +
      uncalled.map { |who, slot| "#{who} comes for #{name(slot)} alone" }
  end

  def called?(who, slot)
    @work.any? { |block| block["task"] && block["window"] == slot["window"] && block["people"].include?(who) }
  end

  def totals
    placed = @work.select { |block| block["task"] }.group_by { |block| block["task"] }
      .transform_values { |same| same.sum { |block| block["minutes"] } }
    left = @tasks.values.sum { |task| task["minutes"] - placed.fetch(task["id"], 0) }
    parts = @work.select { |block| block["task"] }.group_by { |block| block["task"] }.flat_map do |id, same|
      part_faults(@tasks[id], same)
    end
    [*parts, ("unplaced is #{left}" if left != @r["unplaced_minutes"]),
     ("first aim missed is #{late}" if left.zero? && late != @r["first_aim_missed"])].compact
  end

  def part_faults(task, blocks)
    return ["#{task['id']} is cut up"] if !task["split"] && blocks.size > 1

    [("two parts of #{task['id']} in one window" if blocks.map { |block| block["window"] }.uniq.size < blocks.size),
     *blocks.select { |block| blocks.size > 1 && !part?(block) }.map { |block| "#{name(block)} is no part" }].compact
  end

  def part?(block) = block["minutes"].between?(@p["min_part"] || 15, @p["max_part"] || 60)

  def late
    Array(@p["aims"]).sort_by { |aim| aim["date"] }.map do |aim|
      last = @work.select { |block| block["task"] == aim["task"] }.map { |block| day(block) }.max
      last ? (Date.iso8601(last) - Date.iso8601(aim["date"])).to_i : 0
    end.find(&:positive?) || 0
  end
end
