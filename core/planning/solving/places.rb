# frozen_string_literal: true

module Core
  module Planning
    # Where a job can go on a table, between two times: the earliest place, or the one that costs least. Answers
    # [window, start, steps, room] for one part, or nil.
    class Places
      def initialize(table)
        @table = table
        @frame = table.frame
      end

      # Puts all of a job as early as it goes. Answers whether everything found a place; what did stays.
      def early(job, bounds)
        until @table.placed?(job)
          place = earliest(job, *bounds) or return false
          @table.put(job, *place)
        end
        true
      end

      # The same where it costs least.
      # random: a window is passed over now and then; score: what an even load is worth.
      def cheap(job, bounds, random = nil, score = nil)
        until @table.placed?(job)
          place = cheapest(job, *bounds, random, score) or return false
          @table.put(job, *place)
        end
        true
      end

      # [earliest time, latest time] by what comes before and after it on the table; nil when something it waits for is
      # not placed. last: the last window it may lie in.
      def bounds(job, last)
        low = low(job) or return
        [low, high(job, last)]
      end

      # The first start from a step on in a window for a part of so many steps, or nil.
      def next_start(job, window, from, steps)
        first_start(job, window, within(@table.free(job, window), from, @frame.steps[window]), steps)
      end

      # [price, start, steps, window, room] of the best start in a window, or nil.
      def cheapest_in(job, window, from, to)
        free = within(@table.free(job, window), from, to)
        return if free.zero?

        lengths(job, window).each do |steps|
          starts = starts(job, window, free, steps)
          next if starts.zero?

          price, start =
            Price.new(@table, job, window, steps).order(starts)
              .find { |_, at| @table.bearable?(job, window, at, steps) }
          return [price, start, steps, window, @table.room_at(job, window, start, steps)] if start
        end
        nil
      end

      private

      def low(job)
        jobs = @frame.jobs
        low = 0
        job.after.each do |i|
          (ends = @table.placed?(jobs[i]) && @table.ends(jobs[i])) ? (low = ends if ends > low) : (return nil)
        end
        job.after_window.each do |i|
          return nil unless @table.placed?(jobs[i])

          next_window = ((@table.ends(jobs[i]) / Table::TIME) + 1) * Table::TIME
          low = next_window if next_window > low
        end
        low
      end

      def high(job, last)
        jobs = @frame.jobs
        high = (last * Table::TIME) + @frame.steps[last]
        job.before.each { |i| (starts = @table.starts(jobs[i])) && starts < high && (high = starts) }
        job.before_window.each do |i|
          starts = @table.starts(jobs[i]) or next
          window = (starts / Table::TIME) - 1
          limit = window.negative? ? 0 : (window * Table::TIME) + @frame.steps[window]
          high = limit if limit < high
        end
        high
      end

      # Windows between two times that hold no part of the job yet: [[window, first step, end step], …].
      def windows(job, low, high)
        taken = @table.blocks[job.at].map(&:window)
        from, first = low.divmod(Table::TIME)
        to, ends = high.divmod(Table::TIME)
        (from..[to, @frame.steps.size - 1].min).reject { |window| taken.include?(window) }.map do |window|
          [window, window == from ? first : 0, window == to ? [ends, @frame.steps[window]].min : @frame.steps[window]]
        end
      end

      def earliest(job, low, high)
        windows(job, low, high).each do |window, from, to|
          free = within(@table.free(job, window), from, to)
          next if free.zero?

          lengths(job, window).each do |steps|
            start = first_start(job, window, free, steps)
            return [window, start, steps, @table.room_at(job, window, start, steps)] if start
          end
        end
        nil
      end

      def within(free, from, to)
        return 0 if to <= from

        free & (((1 << to) - 1) & ~((1 << from) - 1))
      end

      def first_start(job, window, free, steps)
        starts = starts(job, window, free, steps)
        until starts.zero?
          low = starts & -starts
          start = low.bit_length - 1
          return start if @table.bearable?(job, window, start, steps)

          starts ^= low
        end
        nil
      end

      def starts(job, window, free, steps)
        alone = Table.runs(free, steps)
        alone.zero? ? 0 : alone & @table.room_starts(job, window, steps)
      end

      # Lengths of the next part, longest first. A job that cannot be split and holds more new material than a rehearsal
      # should has a rehearsal to itself.
      def lengths(job, window)
        left = @table.left[job.at]
        room = @table.room_for_new(job, window)
        parts = parts(job, left).select { |steps| steps <= room }
        return parts unless parts.empty? && job.rate.positive? && @frame.cap && room >= (@frame.cap / job.rate).floor

        parts(job, left).last(1)
      end

      def parts(job, left)
        return [left] unless job.split && left > @frame.least

        most = [@frame.most, left].min
        most.downto(@frame.least).select { |steps| left == steps || left - steps >= @frame.least }
      end

      # The cheapest part over all windows; per step, so that long parts and short ones compare.
      def cheapest(job, low, high, random, score)
        best = nil
        least = nil
        windows(job, low, high).each do |window, from, to|
          next if random && random.rand < 0.08

          found = cheapest_in(job, window, from, to) or next
          price = (found.first + (score ? score.of_load(@table, window, found[2]) : 0)).fdiv(found[2])
          if least.nil? || price < least - 1e-9
            best = found
            least = price
          end
        end
        best && [best[3], best[1], best[2], best[4]]
      end
    end
  end
end
