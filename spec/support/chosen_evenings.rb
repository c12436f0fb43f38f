# frozen_string_literal: true

# Evenings written as slots ("learn abcd T 0+30 @2 #3": what, which dancers, by whom and at which price (~30), start and
# minutes, room, evening), and what they cost as a table of the planner. A pair may say who is young, adult, a guest,
# at home there, whose sibling, who is away on which evenings, what was told.
class ChosenEvenings
  Planning = Core::Planning
  private_constant :Planning
  SLOT = /\A(?<kind>\w+) (?<who>[a-z]+) (?<by>[A-Z])(?:~(?<price>\d+))? (?<start>\d+)\+(?<minutes>\d+)(?<rest>.*)\z/

  def self.cost(pair, side) = new(pair).cost(side)

  def initialize(pair)
    @pair = pair
    @slots = %w[better worse].to_h { |side| [side, pair[side].map { |text| slot(text) }] }
  end

  # {name => person-minutes} of EveningPrice for some slots; facts as in a pair.
  def self.prices(*slots, **facts)
    new({ "better" => slots, "worse" => slots, **facts.transform_keys(&:to_s) }).prices
  end

  # What a side costs, what was told included.
  def cost(side)
    table, tasks = table(side)
    told = @pair["told"] && Planning::Disturbance.new(table.frame, told(tasks))
    Planning::Score.new(table.frame, told:).of(table)
  end

  def prices
    table, = table("better")
    named = table.evenings.each_with_index.map { |evening, at| table.frame.prices.named(evening, at) }
    named.reduce { |sum, each| sum.merge(each) { |_, one, other| one + other } }
  end

  private

  def table(side)
    tasks = tasks(@slots[side])
    frame = Planning::IndexedProblem.new(problem(tasks))
    table = Planning::Table.new(frame)
    @slots[side].zip(tasks) do |slot, task|
      table.put(frame.job(task.id), slot[:on] - 1, slot[:start] / 5, slot[:minutes] / 5, slot[:room] - 1, 0)
    end
    [table, tasks]
  end

  def slot(text)
    found = SLOT.match(text) or raise ArgumentError, text
    number = ->(sign) { (found[:rest][/#{sign}(\d+)/, 1] || 1).to_i }
    { kind: found[:kind], who: found[:who].chars, by: found[:by], price: found[:price].to_i, text: text[/\A\S+ \S+ \w/],
      start: found[:start].to_i, minutes: found[:minutes].to_i, room: number["@"], on: number["#"] }
  end

  def tasks(slots)
    names = Hash.new(0)
    slots.map do |slot|
      id = "#{slot[:text]} #{names[slot[:text]] += 1}"
      away = slot[:who] & @pair.fetch("away", {}).keys
      Planning::Task.new(
        id:, kind: slot[:kind], minutes: slot[:minutes], dancers: slot[:who], may: away,
        leads: [{ people: [slot[:by]], price: slot[:price] }], eights: slot[:kind] == "learn" ? 2 : 0
      )
    end
  end

  def told(tasks)
    slots = @pair["told"].map { |text| slot(text) }
    tasks(slots).zip(slots).select { |task, _| tasks.map(&:id).include?(task.id) }.map do |task, slot|
      Planning::Placement.new(task: task.id, window: "w#{slot[:on]}", start: slot[:start], minutes: slot[:minutes],
                              room: "r#{slot[:room]}")
    end
  end

  def problem(tasks)
    dancers = @slots.values.flatten.flat_map { |slot| slot[:who] }.uniq
    Planning::Problem.new(windows:, tasks:, dancers:, choreographers: tasks.flat_map(&:leaders).uniq, unavailable: away,
                          price_list:)
  end

  def windows
    count = @pair["evenings"] || @slots.values.flatten.map { |slot| slot[:on] }.max
    Array.new(count) do |i|
      Planning::Window.new(id: "w#{i + 1}", date: (Date.new(2027, 1, 4) + (i * 7)).iso8601, start: 1080, finish: 1230,
                           rooms: [["r1", 30], ["r2", 30]])
    end
  end

  def away
    @pair.fetch("away", {}).flat_map do |who, evenings|
      evenings.map { |on| { who:, date: (Date.new(2027, 1, 4) + ((on - 1) * 7)).iso8601 } }
    end
  end

  def price_list
    bands = %w[young adult].zip(%w[8_11 adult]).flat_map { |key, band| @pair.fetch(key, "").chars.product([band]) }.to_h
    Planning::PriceList.of(bands, guests: @pair.fetch("guests", "").chars, home: @pair.fetch("home", "").chars,
                                  siblings: @pair.fetch("siblings", []).map(&:chars))
  end
end
