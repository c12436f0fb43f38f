# frozen_string_literal: true

module Core
  module Planning
    # The table the solver fills: who works on which step of which window, in which room.
    # Everything inside is in steps of the grid; windows are indexes into problem.windows.
    class Board
      attr_reader :placements

      def initialize(problem, calendar = Calendar.new(problem))
        @problem = problem
        @calendar = calendar
        @busy = problem.windows.map { |window| Array.new(calendar.steps(window), 0) }
        @away = problem.windows.map { |window| calendar.away(window) }
        @rooms = problem.windows.map { |window| window.rooms.map { |id, _| calendar.closed(window, id) } }
        @spent = Hash.new(0)
        @fresh = problem.windows.map { Hash.new(0) }
        @limits = problem.limits.to_h { |limit| [limit[:who], limit[:minutes_per_day] / problem.grid] }
        @placements = []
      end

      # Steps in a window.
      def size(window) = @busy[window].size

      # The first [start, room] at or after `from` where these people can work so many steps, or nil.
      def first_fit(window, people, count, steps, from: 0)
        return if over_limit?(window, people, steps)

        (from..(size(window) - steps)).each do |start|
          room = room_for(window, start, steps, count) if free?(window, people, start, steps)
          return [start, room] if room
        end
        nil
      end

      # New eights of the task that its dancers can still take in, in a window; nil for no cap.
      def room_for_new(task, window)
        return unless @problem.most_new_eights && task.eights.positive?

        @problem.most_new_eights - (task.dancers.map { |who| @fresh[window][who] }.max || 0)
      end

      def place(task, window, start, steps, room)
        people = @calendar.bits(task.people)
        take_in(task, window, steps)
        (start...(start + steps)).each { |step| @busy[window][step] |= people }
        @rooms[window][room] |= ((1 << steps) - 1) << start
        count(window, people, steps)
        placements << Placement.new(task: task.id, window: @problem.windows[window].id, start: start * @problem.grid,
                                    minutes: steps * @problem.grid, room: @problem.windows[window].rooms[room].first)
      end

      private

      def take_in(task, window, steps)
        return unless task.eights.positive?

        eights = task.eights * steps * @problem.grid / task.minutes
        task.dancers.each { |who| @fresh[window][who] += eights }
      end

      def free?(window, people, start, steps)
        busy = @busy[window]
        away = @away[window]
        (start...(start + steps)).each { |step| return false if (busy[step] | away[step]).anybits?(people) }
        Stretches.new(busy, rest: @problem.break_minutes / @problem.grid, most: @problem.max_continuous / @problem.grid)
                 .allow?(people, start, start + steps)
      end

      def room_for(window, start, steps, count)
        mask = ((1 << steps) - 1) << start
        fitting = @problem.windows[window].rooms.each_with_index.select do |(_, capacity), i|
          capacity >= count && @rooms[window][i].nobits?(mask)
        end
        fitting.min_by { |(_, capacity), i| [capacity, i] }&.last
      end

      def over_limit?(window, people, steps)
        date = @problem.windows[window].date
        @limits.any? do |who, most|
          bit = @calendar.index[who]
          bit && people[bit] == 1 && @spent[[date, who]] + steps > most
        end
      end

      def count(window, people, steps)
        date = @problem.windows[window].date
        @limits.each_key { |who| @spent[[date, who]] += steps if @calendar.index[who] && people[@calendar.index[who]] == 1 }
      end
    end
  end
end
