# frozen_string_literal: true

module Bench
  # The proven best plan of a small problem with unsplit tasks, by mixed-integer programming (HiGHS): one yes-or-no for
  # every task, room and start; first the earliest window of the last run, then the least waiting and trips.
  class Exact
    def initialize(problem)
      @problem = problem
      @grid = problem.grid
      @windows = problem.windows
      @starts = problem.tasks.flat_map { |task| spots(task) }
    end

    # [index of the ready window, cost]; nil when no plan is complete.
    def best
      (0...@windows.size).each do |last|
        cost = solve(last)
        return [last, cost] if cost
      end
      nil
    end

    private

    # [[task, window, room, start step], …]
    def spots(task)
      @windows.each_index.flat_map do |w|
        @windows[w].rooms.each_index.flat_map do |room|
          (0..((@windows[w].minutes - task.minutes) / @grid)).map { |step| [task, w, room, step] }
        end
      end
    end

    def solve(last)
      begin_model
      columns = @starts.each_with_index.map { |(task, w, _, _), _| column(0, 0, task.run? && w > last ? 0 : 1, 1) }
      all_placed(columns)
      nobody_twice(columns)
      precedence(columns)
      spans(columns)
      run
    end

    def begin_model
      @cost = []
      @low = []
      @high = []
      @whole = []
      @rows = []
    end

    def column(cost, low, high, whole)
      @cost << cost
      @low << low
      @high << high
      @whole << whole
      @cost.size - 1
    end

    def row(low, high, terms) = @rows << [low, high, terms]

    def all_placed(columns)
      @problem.tasks.each { |task| row(1, 1, columns.select { |c| @starts[c][0] == task }.map { |c| [c, 1] }) }
    end

    def steps(task) = task.minutes / @grid

    def covers?(index, w, step)
      @starts[index][1] == w && step.between?(@starts[index][3], @starts[index][3] + steps(@starts[index][0]) - 1)
    end

    def nobody_twice(columns)
      @windows.each_index do |w|
        (0...(@windows[w].minutes / @grid)).each do |step|
          here = columns.select { |c| covers?(c, w, step) }
          @problem.people.each do |who|
            row(0, 1, here.select { |c| @starts[c][0].people.include?(who) }.map { |c| [c, 1] })
          end
          @windows[w].rooms.each_index do |room|
            row(0, 1, here.select { |c| @starts[c][2] == room }.map { |c| [c, 1] })
          end
        end
      end
    end

    # A task starts no earlier than what it waits for ends, in one count of time over all windows.
    def precedence(columns)
      time = ->(c) { (@starts[c][1] * 1000) + @starts[c][3] }
      @problem.tasks.each do |task|
        task.after.each do |id|
          earlier = @problem.tasks.find { |other| other.id == id }
          terms =
            columns.select { |c| @starts[c][0] == task }.map { |c| [c, time.call(c)] } +
            columns.select { |c| @starts[c][0] == earlier }.map { |c| [c, -(time.call(c) + steps(earlier))] }
          row(0, 1e9, terms)
        end
      end
    end

    # Trip and span of each person in each window; work is constant and taken off at the end.
    def spans(columns)
      @problem.people.product(@windows.each_index.to_a).each do |who, w|
        size = @windows[w].minutes / @grid
        trip = column(@problem.trip_cost, 0, 1, 1)
        from = column(-@grid, 0, size, 0)
        to = column(@grid, 0, size, 0)
        @problem.tasks
          .select { |task| task.people.include?(who) }
          .each do |task|
            bind(columns.select { |c| @starts[c][0] == task && @starts[c][1] == w }, task, size, trip, from, to)
          end
        row(0, size, [[to, 1], [from, -1]])
      end
    end

    def bind(own, task, size, trip, from, to)
      own.each { |c| row(0, 1, [[trip, 1], [c, -1]]) }
      row(0, 1e9, [[to, 1]] + own.map { |c| [c, -(@starts[c][3] + steps(task))] })
      row(-1e9, size, [[from, 1]] + own.map { |c| [c, size - @starts[c][3]] })
    end

    def run
      start = [0]
      index = []
      value = []
      @rows.each { |_, _, terms| terms.each { |c, v| (index << c) && (value << v.to_f) } && (start << index.size) }
      model =
        Highs.mip(
          sense: :minimize,
          col_cost: @cost,
          col_lower: @low,
          col_upper: @high,
          row_lower: @rows.map(&:first),
          row_upper: @rows.map { |r| r[1] },
          a_format: :rowwise,
          a_start: start[0...-1],
          a_index: index,
          a_value: value,
          integrality: @whole
        )
      answer = model.solve
      work = @problem.tasks.sum { |task| task.minutes * task.people.size }
      answer[:status] == :optimal ? (answer[:obj_value] - work).round : nil
    end
  end
end
