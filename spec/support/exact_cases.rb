# frozen_string_literal: true

# Small planning problems (7 to 15 tasks, one room or two, some absences) whose best plan was proven by mixed-integer
# programming once (bench/exact.rb): spec/corpus/exact_plans.json holds number, index of the ready window, cost.
module ExactCases
  Planning = Core::Planning
  private_constant :Planning

  module_function

  # The problem of a number from 1 on; from 101 on two pieces, some of whose people may miss a lesson, with two who
  # could lead it.
  def problem(number)
    random = Random.new(number * 7919)
    return studio(number, random) if number > 100

    rooms = 1 + (number % 2)
    people = Array.new(6 + random.rand(7)) { |i| "d#{i}" }
    teachers = %w[x y z].first(1 + random.rand(3))
    tasks = tasks(7 + (number % 9), people, teachers, random)
    windows = windows([60, 75, 90][number % 3], rooms, tasks)
    Planning::Problem.new(windows:, tasks:, dancers: people, choreographers: teachers, trip_cost: 30,
                          unavailable: away(people, windows, random))
  end

  def studio(number, random)
    people = Array.new(7 + (number % 4)) { |i| "d#{i}" }
    tasks = piece("p", people, 3, random) + piece("q", people.last(5), 2, random)
    windows = windows(60, 2, tasks)
    Planning::Problem.new(windows:, tasks:, dancers: people, choreographers: %w[t u v], unavailable:
      [*people, "u"].flat_map { |who| windows.select { random.rand < 0.1 }.map { |each| { who:, date: each.date } } })
  end

  def piece(name, people, sections, random)
    learns = Array.new(sections) { |i| lesson("#{name}l#{i}", "learn", people.sample(4 + i, random:).sort, random) }
    join = lesson("#{name}j", "join", people, random).with(after: learns.map(&:id))
    [*learns, join, lesson("#{name}r", "run", people, random).with(after: [join.id])]
  end

  def lesson(id, kind, people, random)
    leads = %w[t u v].sample(2, random:).zip([0, 20]).map { |who, price| { people: [who], price: } }
    Planning::Task.new(id:, kind:, minutes: [10, 15, 20].sample(random:), dancers: people, may: people.drop(1),
                       enough: (people.size * 0.6).floor, leads:)
  end

  def tasks(size, people, teachers, random)
    runs = size > 10 ? 2 : 1
    joins = (size - runs) / 3
    learns = learns(size - runs - joins, people, teachers, random)
    joined = joins(joins, learns, teachers, random)
    learns + joined + runs(runs, people, joined, random)
  end

  def learns(count, people, teachers, random)
    Array.new(count) do |i|
      Planning::Task.new(
        id: "l#{i}", kind: "learn", minutes: [10, 15, 20, 25, 30].sample(random:),
        dancers: people.sample([2 + random.rand(people.size - 2), people.size].min, random:).sort,
        choreographers: [teachers.sample(random:)], after: i > 2 && random.rand < 0.3 ? ["l#{i - 3}"] : []
      )
    end
  end

  def joins(count, learns, teachers, random)
    Array.new(count) do |i|
      first, second = learns.values_at(i, (i + 1) % learns.size)
      both = first.dancers & second.dancers
      Planning::Task.new(
        id: "j#{i}", kind: "join", minutes: [5, 10].sample(random:), dancers: both.empty? ? first.dancers : both,
        choreographers: [teachers.sample(random:)], after: [first.id, second.id]
      )
    end
  end

  def runs(count, people, joins, random)
    Array.new(count) do |i|
      Planning::Task.new(id: "r#{i}", kind: "run", minutes: [10, 15].sample(random:), dancers: people,
                         after: joins.map(&:id) + (i.zero? ? [] : ["r#{i - 1}"]))
    end
  end

  def windows(long, rooms, tasks)
    count = (tasks.sum(&:minutes) * 1.5 / (long * (rooms > 1 ? 1.3 : 1))).ceil.clamp(3, 6)
    Array.new(count) do |i|
      Planning::Window.new(id: "w#{i + 1}", date: (Date.new(2027, 1, 4) + (i * 3)).iso8601, start: 1080,
                           finish: 1080 + long, rooms: Array.new(rooms) { |k| ["r#{k}", 99] })
    end
  end

  def away(people, windows, random)
    people.flat_map do |who|
      windows.select { random.rand < 0.02 }.map do |window|
        random.rand < 0.5 ? { who:, date: window.date } : { who:, date: window.date, from: 1080, to: 1100 }
      end
    end
  end
end
