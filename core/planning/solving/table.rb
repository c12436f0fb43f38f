# frozen_string_literal: true

module Core
  module Planning
    # The plan while it is being made: an Evening for each window, the blocks of each job. Blocks can be put and taken;
    # cost and limits follow. People are sets, and so are steps.
    class Table
      # A time is window × TIME + step.
      TIME = 4096

      attr_reader :frame, :blocks, :left, :unplaced, :evenings

      def initialize(frame)
        @frame = frame
        @evenings = frame.steps.each_index.map { |window| Evening.new(frame, window, [], frame.closed[window]) }
        @blocks = Array.new(frame.jobs.size) { [] }
        @left = frame.jobs.map(&:steps)
        @unplaced = @left.sum
        @days = DayLimits.new(self)
        @rests = Rests.new(self)
        @admitted = 0
        @made = {}
        @known = {}
      end

      def busy(window) = @evenings[window].busy
      def work(window) = @evenings[window].work
      def spans(window) = @evenings[window].spans
      def there(window) = @evenings[window].there
      def window_cost(window) = @evenings[window].cost
      def placed?(job) = @left[job.at].zero?
      def cost = @evenings.sum(&:cost)

      # Steps of work in each week.
      def week_steps
        @evenings.each_with_index.with_object(Hash.new(0)) { |(one, i), sum| sum[@frame.weeks[i]] += one.load }
      end

      # lead: index among the job's leads; the cheapest that goes where nothing is said.
      def put(job, window, start, steps, room, lead = nil)
        lead ||= leads(job, window, start, steps).first || 0
        add(@made[[job.at, window, start, steps, room, lead]] ||= block(job, window, start, steps, room, lead))
      end

      # Takes a job out; answers its blocks.
      def take(job) = @blocks[job.at].dup.each { |block| take_block(job, block) }

      # Takes one of a job's blocks out.
      def take_block(job, block)
        @blocks[job.at] = @blocks[job.at].reject { |each| each.equal?(block) }
        @left[job.at] += block.steps
        @unplaced += block.steps
        change(block.window, @evenings[block.window].without(block, @known))
      end

      def put_back(job, blocks) = blocks.each { |block| add(block) if block.job.equal?(job) }

      # What restore needs to make everything as it is now.
      def state = [@evenings.dup, @blocks.dup, @left.dup, @unplaced]

      def restore((evenings, blocks, left, unplaced))
        evenings.each_with_index { |one, window| change(window, one) unless one.equal?(@evenings[window]) }
        @blocks = blocks.dup
        @left = left.dup
        @unplaced = unplaced
      end

      # The index of the next job beside the problem's own; never another's, not even of one that is gone.
      def next_at = @frame.jobs.size + @admitted

      # A job beside the problem's own, with the next index; and without it again.
      def admit(job)
        @admitted += 1
        (@blocks.size..job.at).each { |at| @blocks[at] = [] }
        (@left.size..job.at).each { |at| @left[at] = 0 }
        @left[job.at] = job.steps
        @unplaced += job.steps
      end

      def dismiss(job)
        @unplaced -= @left[job.at]
        @left[job.at] = 0
        nil
      end

      # First and last time of a job's blocks.
      def starts(job) = @blocks[job.at].map(&:first).min
      def ends(job) = @blocks[job.at].map(&:last).max

      # Steps (a set) on which everybody of a job who must be there could work in a window, and nobody of it is at work.
      def free(job, window)
        open = @frame.open(job, window)
        open.zero? ? 0 : open & ~@evenings[window].busy_steps(@frame.expected(job, window))
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
        rooms = @evenings[window].rooms
        @frame.rooms(job, window).reduce(0) { |starts, room| starts | Table.runs(all & ~rooms[room], steps) }
      end

      def room_at(job, window, start, steps)
        wanted = ((1 << steps) - 1) << start
        @frame.rooms(job, window).find { |room| @evenings[window].rooms[room].nobits?(wanted) }
      end

      def room_free?(window, room, steps) = @evenings[window].rooms[room].nobits?(steps)

      # Indexes of a job's leads who are there and free for a block, the cheapest first.
      def leads(job, window, start, steps)
        wanted = ((1 << steps) - 1) << start
        job.leads.each_index.select do |i|
          set = job.leads[i].first
          @frame.there?(set, window, start, steps) && @evenings[window].busy_steps(set).nobits?(wanted)
        end
      end

      # Whether nobody would work too long without a rest (warming up again counts as work), or too long on a day.
      def bearable?(people, window, start, steps)
        @days.allow?(people, window, start, steps) && @rests.allow?(people, window, start, steps)
      end

      # Whether a window is still bearable for people of whom something was taken out: without it they may have to warm
      # up again.
      def sound?(people, window)
        @frame.rewarm.nil? || (@days.sound?(people, window) && @rests.sound?(people, window))
      end

      # Steps of a job's new material that its dancers can still take in, in a window.
      def room_for_new(job, window)
        return job.steps if @frame.cap.nil? || job.rate.zero?

        (((@frame.cap - @evenings[window].new_eights(job.fresh)) / job.rate) + 1e-9).floor
      end

      # What a block costs where it lies, in person-minutes: whoever misses it, and who leads it.
      def extra(job, people, lead, steps)
        return 0 if job.plain?

        (@frame.minutes(steps) * Price::MISSED * Values::Bits.count(job.people & ~people)) +
          (job.leads.empty? ? 0 : job.leads[lead].last)
      end

      private

      def block(job, window, start, steps, room, lead)
        people = @frame.attends(job, window, start, steps) || job.people
        led = job.leads.empty? ? 0 : job.leads[lead].first
        Evening::Block.new(
          job, window, start, steps, room, people | led, lead, @frame.late(people, window, start, steps),
          extra(job, people, lead, steps), Evening.mixed(@made.size + 1)
        )
      end

      def add(block)
        job = block.job
        @blocks[job.at] += [block]
        @left[job.at] -= block.steps
        @unplaced -= block.steps
        change(block.window, @evenings[block.window].with(block, @known))
      end

      # So many evenings are remembered.
      MOST = 5000
      private_constant :MOST

      def change(window, evening)
        @known.clear if @known.size > MOST
        @evenings[window] = evening
        @days.changed(window)
      end
    end
  end
end
