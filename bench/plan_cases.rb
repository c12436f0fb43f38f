# frozen_string_literal: true

module Bench
  # Generated planning problems: learning, joins, chains and runs as the schools make them, absences, rooms.
  module PlanCases
    Planning = Core::Planning

    module_function

    # sections learned by 4 teachers, a join between neighbours, a chain at every third, five runs.
    def season(dancers:, sections:, windows:, rooms: 2, seed: 1, away: 0.008, groups: 4)
      random = Random.new(seed)
      people = Array.new(dancers) { |i| "d#{i}" }
      calls = Array.new(sections) { |i| call(people, i, groups) }
      tasks = teach(sections, calls, random) + runs(people, sections)
      list = Array.new(windows) { |i| window(i, rooms, dancers) }
      Planning::Problem.new(
        windows: list,
        tasks:,
        dancers: people,
        choreographers: Array.new(4) { |i| "t#{i}" },
        unavailable: absences(people, list, away, random),
        most_new_eights: 8
      )
    end

    # Half of the sections are danced by everybody, the others by one group or two.
    def call(people, index, groups)
      return people if index.even?

      size = (people.size / groups.to_f).ceil
      slices = people.each_slice(size).to_a
      (slices[index % slices.size] + slices[(index / 2) % slices.size]).uniq
    end

    def teach(sections, calls, random)
      (0...sections).flat_map do |i|
        learn =
          Planning::Task.new(
            id: "learn#{i}",
            kind: "learn",
            minutes: [25, 30, 40, 50].sample(random:),
            split: true,
            dancers: calls[i],
            choreographers: ["t#{i % 4}"],
            after: i > 3 ? ["learn#{i - 4}"] : [],
            eights: random.rand(4..7)
          )
        [learn, *joined(i, calls), *chained(i, calls)]
      end
    end

    def joined(index, calls)
      return [] if index.zero?

      both = calls[index] & calls[index - 1]
      both = calls[index] if both.empty?
      [
        Planning::Task.new(
          id: "join#{index}",
          kind: "join",
          minutes: 10,
          dancers: both,
          choreographers: ["t#{index % 4}"],
          after: ["learn#{index}", "learn#{index - 1}"]
        )
      ]
    end

    def chained(index, calls)
      return [] unless index.positive? && (index % 3).zero?

      [
        Planning::Task.new(
          id: "chain#{index}",
          kind: "chain",
          minutes: 15,
          dancers: calls.first(index + 1).reduce(:|),
          after: (1..index).map { |i| "join#{i}" }
        )
      ]
    end

    def runs(people, sections)
      before = (1...sections).map { |i| "join#{i}" }
      Array.new(5) do |i|
        Planning::Task.new(
          id: "run#{i}",
          kind: "run",
          minutes: 20,
          dancers: people,
          after: before,
          after_window: i.zero? ? [] : ["run#{i - 1}"]
        )
      end
    end

    def window(index, rooms, size)
      date = (Date.new(2027, 1, 5) + (index / 2 * 7) + (index.odd? ? 4 : 0)).iso8601
      Planning::Window.new(
        id: "w#{index + 1}",
        date:,
        start: 1080,
        finish: index.odd? ? 1260 : 1200,
        rooms: Array.new(rooms) { |r| ["r#{r}", r.zero? ? size : (size * 0.6).ceil] }
      )
    end

    def absences(people, windows, share, random)
      people.flat_map { |who| windows.select { random.rand < share }.map { |window| { who:, date: window.date } } }
    end

    # One room, few tasks: small enough for an exact solver.
    def small(seed, rooms: 1)
      random = Random.new(seed)
      people = %w[a b c d e f]
      tasks =
        Array.new(7) do |i|
          Planning::Task.new(
            id: "t#{i}",
            kind: i == 6 ? "run" : "learn",
            minutes: [10, 15, 20].sample(random:),
            dancers: people.sample(random.rand(2..4), random:),
            after: i == 6 ? %w[t0 t1 t2] : []
          )
        end
      windows =
        Array.new(3) do |i|
          Planning::Window.new(
            id: "w#{i}",
            date: (Date.new(2027, 1, 4) + (i * 3)).iso8601,
            start: 1080,
            finish: 1130,
            rooms: Array.new(rooms) { |r| ["r#{r}", 6] }
          )
        end
      Planning::Problem.new(windows:, tasks:, dancers: people, choreographers: [], trip_cost: 20, max_continuous: 50)
    end
  end
end
