# frozen_string_literal: true

module Core
  module Planning
    # Warming up, warming up again and cooling down of each dancer over a whole day, whatever piece they work on: before
    # their first work, before work after so long an idle time that they are cold, after their last. Whoever is warm is
    # not warmed up again. Those who do the same at the same time do it together; in a room where one is free.
    class WarmBlocks
      # kind: warm_up, re_warm, cool_down or catch_up; window: its id; start: minutes after its start; room: id, or nil
      # where they do it beside the others' work; who: ids of dancers; lead: ids; of: the task that is caught up.
      Block = Struct.new(:kind, :window, :start, :minutes, :room, :who, :lead, :of, keyword_init: true) do
        def end = start + minutes
        def people = who | lead
        def dancers = who
        def choreographers = lead
      end

      # table: with everything on it.
      def initialize(table)
        @table = table
        @frame = table.frame
        @problem = @frame.problem
        @again = @problem.re_warm_after && Warmth.new(idle: @problem.re_warm_after, again: @problem.rewarm.last)
        @taken = Hash.new { |all, window| all[window] = [] }
      end

      # [Block] in order of time.
      def all
        found = days.flat_map { |_, spans| of(spans) }.group_by { |entry| entry.first(4) }
        found.sort_by { |(_, window, start, _), _| [window, start] }.map do |(kind, window, start, minutes), same|
          block(kind, window, start, minutes, same.map(&:last))
        end
      end

      private

      # {[date, dancer's bit] => [[clock, clock, window], …] of work, in order}.
      def days
        dancing = @frame.dancing
        found = Hash.new { |all, key| all[key] = [] }
        @table.evenings.each_with_index do |evening, window|
          evening.blocks.each do |block|
            Values::Bits.to_a(block.people & dancing).each do |bit|
              from, to = hours(block, bit)
              found[[@frame.dates[window], bit]] << [clock(window, from), clock(window, to), window, bit]
            end
          end
        end
        found.transform_values(&:sort)
      end

      # Steps of a block on which somebody is there.
      def hours(block, bit)
        return [block.start, block.end] if block.late[bit].zero?

        here = (block.start...block.end).select { |step| @frame.away[block.window][step][bit].zero? }
        [here.first, here.last + 1]
      end

      def clock(window, step) = @frame.windows[window].start + @frame.minutes(step)

      # [[kind, window, start, minutes, bit], …] of one person's day.
      def of(spans)
        up, down = [@problem.warm_up, @problem.cool_down].map { |minutes| whole(minutes) }
        first = spans.first
        last = spans.max_by { |_, to,| to }
        found = cold(spans).map { |from, _, window, bit| ["re_warm", window, from - @again.again, @again.again, bit] }
        found << ["warm_up", first[2], first[0] - up, up, first[3]] if up.positive?
        found << ["cool_down", last[2], last[1], down, last[3]] if down.positive?
        found.map { |kind, window, at, minutes, bit| [kind, window, at - @frame.windows[window].start, minutes, bit] }
          .select { |_, _, start, _, _| start >= 0 }
      end

      def cold(spans)
        return [] unless @again

        starts = @again.cold_starts(spans.map { |from, to,| [from, to] })
        spans.select { |from,| starts.include?(from) }.uniq(&:first)
      end

      def whole(minutes) = minutes.fdiv(@problem.grid).ceil * @problem.grid

      def block(kind, window, start, minutes, bits)
        room = room(window, start, minutes, bits.size)
        @taken[window] << [room, start, start + minutes] if room
        lies = @frame.windows[window]
        Block.new(kind:, window: lies.id, start:, minutes:, room: room && lies.rooms[room].first, lead: [],
                  who: bits.sort.map { |bit| @frame.people[bit] })
      end

      # The smallest room that is free for it.
      def room(window, start, minutes, size)
        from = start / @problem.grid
        steps = ((start + minutes).fdiv(@problem.grid).ceil - from)
        mask = ((1 << steps) - 1) << from
        rooms = @frame.windows[window].rooms
        rooms.each_index.sort_by { |i| rooms[i].last }.find do |i|
          rooms[i].last >= size && @table.room_free?(window, i, mask) &&
            @taken[window].none? { |room, first, last| room == i && first < start + minutes && start < last }
        end
      end
    end
  end
end
