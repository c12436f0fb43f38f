# frozen_string_literal: true

module Core
  module Planning
    # The plan while it is being made: who works on which step of which window, in which room. Blocks can be put and
    # taken; cost and limits follow. People are sets, and so are the steps of a room.
    class Table
      Block = Struct.new(:window, :start, :steps, :room) do
        def end = start + steps
        def first = (window * TIME) + start
        def last = (window * TIME) + start + steps
      end
      # A time is window × TIME + step.
      TIME = 4096

      # week_steps: {week => steps of work in it}.
      attr_reader :frame, :blocks, :left, :week_steps

      def initialize(frame)
        @frame = frame
        @busy = frame.steps.map { |steps| Array.new(steps, 0) }
        @work = @busy.each_with_index.map { |own, window| frame.working[window]&.dup || own }
        @rooms = frame.closed.map(&:dup)
        @blocks = Array.new(frame.jobs.size) { [] }
        @left = frame.jobs.map(&:steps)
        @days = DayLimits.new(self, @work)
        @week_steps = Hash.new(0)
        @fresh = frame.steps.map { Hash.new(0.0) }
        @spans = Array.new(frame.steps.size)
        @costs = Array.new(frame.steps.size)
      end

      def busy(window) = @busy[window]
      def placed?(job) = @left[job.at].zero?
      def unplaced = @left.sum
      def cost = @costs.each_index.sum { |window| window_cost(window) }
      def window_cost(window) = @costs[window] ||= cost_of(window)

      def put(job, window, start, steps, room)
        people = job.people
        busy = @busy[window]
        work = @work[window]
        (start...(start + steps)).each { |step| busy[step] |= people }
        (start...(start + steps)).each { |step| work[step] |= people } unless work.equal?(busy)
        @rooms[window][room] |= ((1 << steps) - 1) << start
        @blocks[job.at] << Block.new(window, start, steps, room)
        @left[job.at] -= steps
        count(job, window, steps, 1)
      end

      # Takes a job out; answers its blocks.
      def take(job)
        taken = @blocks[job.at]
        @blocks[job.at] = []
        taken.each { |block| clear(job, block) }
        taken
      end

      # Takes one of a job's blocks out.
      def take_block(job, block)
        @blocks[job.at] = @blocks[job.at].reject { |each| each.equal?(block) }
        clear(job, block)
      end

      def put_back(job, blocks) = blocks.each { |block| put(job, block.window, block.start, block.steps, block.room) }

      # First and last time of a job's blocks.
      def starts(job) = @blocks[job.at].map(&:first).min
      def ends(job) = @blocks[job.at].map(&:last).max

      # Steps (a set) on which everybody of a job could work in a window: there, and not at work.
      def free(job, window)
        open = @frame.open(job, window)
        return 0 if open.zero?

        people = job.people
        @busy[window].each_with_index { |set, step| open &= ~(1 << step) if set.anybits?(people) }
        open
      end

      # Starts (a set) of so many free steps in a row.
      def self.runs(free, steps)
        have = 1
        while have < steps
          more = [have, steps - have].min
          free &= free >> more
          have += more
        end
        free
      end

      # Starts at which some room is free for so many steps.
      def room_starts(job, window, steps)
        all = (1 << @frame.steps[window]) - 1
        @frame.rooms(job, window).reduce(0) { |starts, room| starts | Table.runs(all & ~@rooms[window][room], steps) }
      end

      def room_at(job, window, start, steps)
        wanted = ((1 << steps) - 1) << start
        @frame.rooms(job, window).find { |room| @rooms[window][room].nobits?(wanted) }
      end

      def room_free?(window, room, steps) = @rooms[window][room].nobits?(steps)

      # Whether nobody would work too long without a rest (warming up again counts as work), or too long on a day.
      def bearable?(job, window, start, steps)
        return false unless @days.allow?(job, window, start, steps)

        people = job.people
        work = @work[window]
        rewarm = @frame.rewarm if (people & @frame.dancing).anybits?(there(window))
        @frame.rests.all? do |most, rest|
          steps <= most && ((rewarm.nil? && alone?(work, people, start, steps, rest)) ||
            Stretches.new(work, rest:, most:, rewarm:, dancing: @frame.dancing).allow?(people, start, start + steps))
        end
      end

      # Whether a window is still bearable for people of whom something was taken out: without it they may have to warm
      # up again.
      def sound?(people, window)
        return true unless @frame.rewarm

        @days.sound?(people, window) &&
          @frame.rests.all? do |most, rest|
            Stretches.new(@work[window], rest:, most:, rewarm: @frame.rewarm, dancing: @frame.dancing).sound?(people)
          end
      end

      # Steps of a job's new material that its dancers can still take in, in a window.
      def room_for_new(job, window)
        return job.steps if @frame.cap.nil? || job.rate.zero?

        had = @fresh[window].empty? ? 0.0 : job.fresh.map { |who| @fresh[window][who] }.max
        (((@frame.cap - had) / job.rate) + 1e-9).floor
      end

      # Who has begun by each step of a window, and who goes on from it: [began, goes on, attends].
      def spans(window) = @spans[window] ||= spans_of(window)

      # Who is in a window at all, for this or for other work.
      def there(window)
        other = @frame.working[window]
        other ? other.reduce(spans(window).last, :|) : spans(window).last
      end

      private

      def clear(job, block)
        others = ~job.people
        busy = @busy[block.window]
        work = @work[block.window]
        (block.start...block.end).each { |step| busy[step] &= others }
        (block.start...block.end).each { |step| work[step] &= others } unless work.equal?(busy)
        @rooms[block.window][block.room] &= ~(((1 << block.steps) - 1) << block.start)
        @left[job.at] += block.steps
        count(job, block.window, block.steps, -1)
      end

      def count(job, window, steps, sign)
        @spans[window] = @costs[window] = nil
        @week_steps[@frame.weeks[window]] += sign * steps
        job.fresh.each { |who| @fresh[window][who] += sign * job.rate * steps } if job.rate.positive?
        @days.changed(window)
      end

      # Nobody of these works within a rest's length of the block.
      def alone?(busy, people, start, steps, rest)
        from = [start - rest, 0].max
        to = [start + steps + rest, busy.size].min
        (from...start).none? { |step| busy[step].anybits?(people) } &&
          ((start + steps)...to).none? { |step| busy[step].anybits?(people) }
      end

      def spans_of(window)
        busy = @busy[window]
        sum = 0
        began = busy.map { |set| sum |= set }
        attends = sum
        sum = 0
        goes_on = busy.reverse.map { |set| sum |= set }.reverse
        [began, goes_on << 0, attends]
      end

      # Trips and waiting of everybody in a window, in minutes.
      def cost_of(window)
        began, goes_on, attends = spans(window)
        return 0 if attends.zero?

        idle =
          @busy[window].each_with_index.sum do |set, step|
            (between = began[step] & goes_on[step] & ~set).zero? ? 0 : Values::Bits.count(between)
          end
        @frame.minutes(idle) + (@frame.trip * Values::Bits.count(attends))
      end
    end
  end
end
