# frozen_string_literal: true

module Core
  module Planning
    # One window of a table, with the blocks that lie in it. It never changes: with a block more or less it is another
    # one, so that what was worked out for it stays true, and going back is free.
    class Evening
      # people: the set of all who are there, who leads it included; lead: its index among the job's leads; late: those
      # who are not there from its first step to its last; extra: person-minutes it costs where it lies; key: a
      # number that no other block has.
      Block = Struct.new(:job, :window, :start, :steps, :room, :people, :lead, :late, :extra, :key) do
        def end = start + steps
        def first = (window * Table::TIME) + start
        def last = (window * Table::TIME) + start + steps
        def mask = ((1 << steps) - 1) << start
      end
      attr_reader :blocks, :rooms, :choices, :firsts, :best, :squeezed

      # rooms: for each a set of steps at which it is taken or closed; key: of all its blocks together.
      def initialize(frame, window, blocks, rooms, key = Evening.mixed(-window - 1))
        @key = key
        @frame = frame
        @window = window
        @blocks = blocks
        @rooms = rooms
        @choices = {}
        @firsts = {}
        @best = {}
        @squeezed = {}
      end

      # The same with a block more or less. known: evenings met before, by what lies in them.
      def with(block, known)
        known[@key ^ block.key] ||=
          Evening.new(@frame, @window, [*@blocks, block], taken(block) { |room, mask| room | mask }, @key ^ block.key)
      end

      def without(block, known)
        known[@key ^ block.key] ||=
          Evening.new(@frame, @window, @blocks.reject { |each| each.equal?(block) },
                      taken(block) { |room, mask| room & ~mask }, @key ^ block.key)
      end

      # A number spread over 62 bits, so that exclusive or of several tells them apart (Zobrist 1970; SplitMix).
      def self.mixed(number)
        spread = (number * 0x9E3779B97F4A7C15) & ((1 << 64) - 1)
        spread = ((spread ^ (spread >> 30)) * 0xBF58476D1CE4E5B9) & ((1 << 64) - 1)
        (spread ^ (spread >> 27)) & ((1 << 62) - 1)
      end

      # Steps (a set) at which any of these people is at work.
      def busy_steps(people)
        @blocks.reduce(0) { |set, block| block.people.anybits?(people) ? set | block.mask : set }
      end

      # The set of people at work on each step.
      def busy
        @busy ||= @blocks.each_with_object(Array.new(@frame.steps[@window], 0)) do |block, sets|
          (block.start...block.end).each do |step|
            sets[step] |= block.late.zero? ? block.people : block.people & ~@frame.away[@window][step]
          end
        end
      end

      # The same with what they rehearse elsewhere then.
      def work
        other = @frame.working[@window]
        @work ||= other ? busy.zip(other).map { |own, more| own | more } : busy
      end

      # [[step, who begins on it], …], [[step, who ends before it], …], everybody who comes.
      def spans = @spans ||= [edges(busy.each_with_index), edges(busy.each_with_index.reverse_each, 1), everybody]

      # Who is there at all, for this or for other work.
      def there = @there ||= (@frame.working[@window] || []).reduce(everybody, :|)

      # Trips and waiting of everybody, in minutes, and what blocks cost where they lie.
      def cost = @cost ||= cost_of

      # Steps of work in it.
      def load = @load ||= @blocks.sum(&:steps)

      # The most new eights any of these people (bits) has in it.
      def new_eights(bits)
        @new ||= @blocks.each_with_object(Hash.new(0.0)) do |block, sum|
          job = block.job
          job.fresh.each { |who| sum[who] += job.rate * block.steps if block.people[who] == 1 } if job.rate.positive?
        end
        @new.empty? ? 0.0 : bits.map { |who| @new[who] }.max || 0.0
      end

      private

      def taken(block)
        @rooms.dup.tap { |rooms| rooms[block.room] = yield(rooms[block.room], block.mask) }
      end

      def everybody = @everybody ||= busy.reduce(0, :|)

      def edges(steps, shift = 0)
        seen = 0
        steps.filter_map do |set, step|
          fresh = set & ~seen
          next if fresh.zero?

          seen |= set
          [step + shift, fresh]
        end
      end

      def cost_of
        return 0 if @blocks.empty?

        first, last, all = spans
        from, to = [first, last].map { |edges| edges.sum { |step, set| step * Values::Bits.count(set) } }
        there = to - from
        @frame.minutes(there - worked) + (@frame.trip * Values::Bits.count(all)) + @blocks.sum(&:extra) +
          (@frame.prices ? @frame.prices.of(self, @window) : 0)
      end

      def worked
        @blocks.sum do |block|
          next block.steps * Values::Bits.count(block.people) if block.late.zero?

          (block.start...block.end).sum { |step| Values::Bits.count(block.people & ~@frame.away[@window][step]) }
        end
      end
    end
  end
end
