# frozen_string_literal: true

module Core
  module Planning
    # What an evening costs beside waiting, coming, missing and leads: by name, in person-minutes (Price).
    class EveningPrice
      NAMES = %i[long_waits short_evenings short_slots changes siblings small_late late_new].freeze

      # frame: the IndexedProblem; list: its PriceList.
      def initialize(frame, list)
        @frame = frame
        @grid = frame.minutes(1)
        teachers = Values::Bits.to_a(frame.bits(frame.problem.choreographers))
        @teachers = teachers.map { |bit| [1 << bit, least(bit, list)] }
        @teachers.select! { |_, least| least }
        @small = bits(list.small)
        @dancing = frame.dancing
        @siblings = list.siblings.map { |pair| bits(pair) }
        @waits = waits(list)
      end

      # The sum for a window's Evening.
      def of(evening, window) = NAMES.sum { |name| send(name, evening, window) }

      # What a job's new work counts in a window.
      def of_new(job, window)
        job.rate.positive? ? job.steps * @grid * count(job.people & @dancing) * rate(window) : 0
      end

      # {name => person-minutes}.
      def named(evening, window) = NAMES.to_h { |name| [name, send(name, evening, window)] }

      private

      # A list may know people nobody here asks for.
      def bits(ids) = @frame.bits(ids & @frame.people)

      # [[steps one waits with patience, set of people], …].
      def waits(list)
        all = (1 << @frame.people.size) - 1
        own = list.patience.group_by(&:last).map { |minutes, same| [minutes, bits(same.map(&:first))] }
        others = all & ~own.reduce(0) { |set, (_, people)| set | people }
        [*own, [Price::PATIENT, others]].map { |minutes, people| [minutes.fdiv(@grid).ceil, people] }
      end

      # The fewest minutes for which a teacher (a bit) comes gladly; nil where they are there anyway.
      def least(bit, list)
        who = @frame.people[bit]
        return if list.home.include?(who)

        list.guests.include?(who) ? Price::GUEST : Price::EVENING
      end

      def long_waits(evening, _)
        idle = idle(evening)
        steps = @waits.sum do |patience, people|
          run = Array.new(idle.size) { |step| step < patience ? 0 : idle[(step - patience)..step].reduce(:&) & people }
          run.sum { |set| count(set) }
        end
        steps * @grid * Price::LONG_WAIT
      end

      # The set of those who wait on each step.
      def idle(evening)
        busy = evening.work
        later = Array.new(busy.size, 0)
        (busy.size - 2).downto(0) { |step| later[step] = later[step + 1] | busy[step + 1] }
        before = 0
        busy.each_with_index.map do |set, step|
          found = before & later[step] & ~set
          before |= set
          found
        end
      end

      def short_evenings(evening, _)
        @teachers.sum do |bit, least|
          own = evening.blocks.select { |block| block.people.anybits?(bit) }
          next 0 if own.empty?

          least = [least, Price::SMALL].min if least == Price::EVENING && own.all? { |block| small?(block) }
          [least - (own.sum(&:steps) * @grid), 0].max * Price::SHORT_EVENING
        end
      end

      def small?(block) = (block.people & @dancing).nobits?(~@small)

      def short_slots(evening, _)
        slots(evening).sum { |slot| [Price::SLOT - (slot.sum(&:steps) * @grid), 0].max * Price::SHORT_SLOT }
      end

      # [[block, …], …]: what follows on in a room with the same people is one.
      def slots(evening)
        evening.blocks.group_by(&:room).values.flat_map do |same|
          same.sort_by(&:start).slice_when { |one, other| other.start > one.end || change?(one, other) }.to_a
        end
      end

      # Whether more than a third of the people change from one to the other.
      def change?(one, other)
        count(one.people & other.people) * 3 < count(one.people | other.people) * 2
      end

      def count(set) = set.zero? ? 0 : Values::Bits.count(set)

      def changes(evening, _)
        rooms = evening.blocks.group_by(&:room)
        hours = rooms.size.positive? ? (@grid * evening.load).fdiv(60) : 0
        people = rooms.values.sum do |same|
          same.sort_by(&:start).each_cons(2).count { |one, other| change?(one, other) }
        end
        [people + moves(evening) - (Price::CHANGES * [hours, 1].max).ceil, 0].max * Price::CHANGE
      end

      # How often most of a block's people come from another room.
      def moves(evening)
        blocks = evening.blocks.sort_by(&:start)
        blocks.count do |block|
          before = blocks.select { |each| each.end <= block.start && each.people.anybits?(block.people) }.max_by(&:end)
          before && before.room != block.room && !change?(before, block)
        end
      end

      def siblings(evening, _)
        steps = @siblings.sum do |pair|
          evening.spans.first(2).sum do |edges|
            at = edges.flat_map { |step, set| [step] * count(set & pair) }
            at.size > 1 ? at.max - at.min : 0
          end
        end
        (steps * @grid * Price::APART).round
      end

      def small_late(evening, _)
        steps = evening.spans[1].sum { |step, set| step * count(set & @small) }
        (steps * @grid * Price::SMALL_LATE).round
      end

      def late_new(evening, window)
        per = rate(window)
        steps = evening.blocks.sum do |block|
          block.job.rate.positive? ? block.steps * count(block.people & @dancing) : 0
        end
        (steps * @grid * per).round
      end

      # What a person-minute of new work counts in a window.
      def rate(window)
        at = (@frame.passed + window).fdiv(@frame.passed + @frame.steps.size)
        (Price::NEW * at) + (at >= Price::LATE ? Price::LATE_NEW : 0)
      end
    end
  end
end
