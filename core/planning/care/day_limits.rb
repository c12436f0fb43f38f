# frozen_string_literal: true

module Core
  module Planning
    # What a day asks of people who may only do so much: their work on a table, what they rehearse elsewhere, warm-up
    # and cool-down once a rehearsal, and warming up again. Everybody's day is counted at once (Values::Tallies); only
    # those who come near their limit are counted one by one, with the block that is to be added.
    class DayLimits
      def initialize(table)
        @table = table
        @frame = table.frame
        @warmth = Warmth.of(@frame.rewarm)
        @again = @warmth ? @warmth.again : 0
        @groups = @frame.dates.uniq.to_h { |date| [date, groups(date)] }
        @limited = @groups.transform_values { |groups| groups.map(&:last).reduce(0, :|) }
        @over = Hash.new { |hash, date| hash[date] = {} }
        @tallies = {}
      end

      # Something was put into a window or taken out of it.
      def changed(window)
        date = @frame.dates[window]
        return if @limited[date].zero?

        @tallies.delete(date)
        @over.delete(date)
      end

      # Whether all these people (a set) may also work on so many steps from a start.
      def allow?(whom, window, start, steps)
        date = @frame.dates[window]
        return true if whom.nobits?(@limited[date])

        @groups[date].none? do |most, people|
          close = whom & people & over(date, most - steps - @frame.around - @again)
          close.positive? &&
            Values::Bits.to_a(close).any? { |bit| amount(date, bit, window, start...(start + steps)) > most }
        end
      end

      # Whether nobody's day is too long as it stands.
      def sound?(people, window)
        date = @frame.dates[window]
        people.nobits?(@limited[date]) ||
          @groups[date].none? { |most, group| (people & group).anybits?(over(date, most)) }
      end

      private

      # [[steps they may still do here, people], …] of those with a limit.
      def groups(date)
        @frame.limits(date)
          .group_by { |bit, most| most - @frame.elsewhere(date, bit) }
          .transform_values { |pairs| Values::Bits.of(pairs.map(&:first)) }
          .to_a
      end

      # Those whose day, as it stands, comes to more than a number of steps.
      def over(date, steps) = @over[date][steps] ||= (@tallies[date] ||= tally(date)).over(steps)

      def tally(date)
        Values::Tallies.new(@limited[date]).tap { |sum| @frame.on(date).each { |window| add(sum, window) } }
      end

      def add(sum, window)
        sum.add(@table.there(window), @frame.around)
        @table.busy(window).each { |own| sum.add(own, 1) unless own.zero? }
        return unless @warmth

        @warmth.cold_at_each(@table.work(window)).each do |cold|
          dancing = cold & @frame.dancing
          sum.add(dancing, @again) unless dancing.zero?
        end
      end

      # Steps of one person's day, were they also at work in a window on some further steps.
      def amount(date, bit, window, more)
        @frame.on(date).sum do |i|
          extra = i == window ? more : nil
          next 0 unless extra || @table.there(i)[bit] == 1

          own = @table.busy(i).count { |set| set[bit] == 1 } + (extra ? more.size : 0)
          own + @frame.around + warmed_again(i, bit, extra)
        end
      end

      # Steps of warming up again of one dancer in a window.
      def warmed_again(window, bit, more)
        return 0 if @warmth.nil? || @frame.dancing[bit].zero?

        at = @table.work(window).each_index.select { |step| @table.work(window)[step][bit] == 1 || more&.cover?(step) }
        @again * @warmth.cold_steps(at)
      end
    end
  end
end
