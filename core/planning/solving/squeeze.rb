# frozen_string_literal: true

module Core
  module Planning
    # A job put between the blocks of a window that move up for it: every place in their order is tried, each block as
    # early as it goes after the one before it, and the cheapest is kept, and remembered with the evening.
    class Squeeze
      # minutes: what it adds; places: [[job, start, steps, room, lead], …] of the whole window.
      # Beside so many blocks there is rarely a better order, and looking takes long.
      MOST = 9
      Found = Struct.new(:minutes, :places, :window)

      # fixed: {index of a job => true} for those that stay where they are.
      def initialize(table, places, fixed)
        @table = table
        @frame = table.frame
        @places = places
        @fixed = fixed
      end

      # Found, or nil where there is no such place.
      def of(job, window, steps)
        evening = @table.evenings[window]
        return if evening.blocks.empty? || evening.blocks.size > MOST || @table.room_for_new(job, window) < steps

        return free(evening, job, window, steps) if @frame.tied?(window)

        evening.squeezed.fetch((job.at * Table::TIME) + steps) do |key|
          evening.squeezed[key] = free(evening, job, window, steps)
        end
      end

      # Makes a window what was found for it.
      def put(found)
        clear(found.window)
        found.places.each { |job, start, steps, room, lead| @table.put(job, found.window, start, steps, room, lead) }
      end

      private

      def free(evening, job, window, steps)
        best(job, window, steps) if evening.blocks.none? { |block| @fixed[block.job.at] }
      end

      def best(job, window, steps)
        order = @table.evenings[window].blocks.sort_by { |block| [block.start, block.room] }
        before = @table.window_cost(window)
        state = @table.state
        tried = tried(order.map { |block| [block.job, block.steps] }, [job, steps], window)
        @table.restore(state)
        cost, places = tried.min_by.with_index { |(minutes, _), i| [minutes, i] }
        cost && Found.new(cost - before, places, window)
      end

      # [[cost, places], …] of the window with one more at each place of an order; what comes before it is laid once.
      def tried(order, more, window)
        jobs = [more, *order].map(&:first)
        clear(window)
        head = []
        (0..order.size).each_with_object([]) do |at, found|
          from = head.empty? ? 0 : head.last[1]
          state = @table.state
          rest = laid([more, *order.drop(at)], jobs, window, from)
          found << [@table.window_cost(window), head + rest] if rest
          @table.restore(state)
          head += laid(order[at, 1], jobs, window, from) || (break found)
        end
      end

      # [[job, start, steps, room, lead], …]: jobs in an order, each as early as it goes after the one before, or nil.
      # jobs: all that come into the window.
      def laid(order, jobs, window, from)
        order.each_with_object([]) do |(job, steps), done|
          from = [from, after(job, jobs, window)].max
          found = @places.first_of(job, window, steps, from, @frame.steps[window]) or break
          room = @places.room(job, found)
          @table.put(job, window, from = found.start, steps, room, found.lead)
          done << [job, found.start, steps, room, found.lead]
        end
      end

      # The first step at which a job may begin by what it waits for in the window; beyond its end where that has not
      # been laid yet.
      def after(job, jobs, window)
        return 0 if job.after.empty?

        jobs.select { |other| job.after.include?(other.at) }.map do |other|
          block = @table.blocks[other.at].find { |each| each.window == window }
          block ? block.end : @frame.steps[window]
        end.max || 0
      end

      def clear(window)
        @table.evenings[window].blocks.each { |block| @table.take_block(block.job, block) }
      end
    end
  end
end
