# frozen_string_literal: true

module Core
  module Planning
    # Who comes to a job where it lies: everybody of it who is there for two thirds of it or more, and need not be at
    # home before its end. Derived from the calendar alone; being at other work is no absence but stands in the way.
    class Attendance
      # Away for more than one step in so many of a block is missing it.
      MISSED = 3

      # away, working, home: per window and step, sets of people (working: with what they warm up and cool down for it;
      # home: who has to be at home by then; nil where nobody does); minors: the set of those not yet grown up.
      def initialize(away, working, minors, home = [])
        @home = home
        @working = working
        @minors = minors
        @away = away
        @ever = away.map { |steps| steps.reduce(0, :|) }
        @always = away.map { |steps| steps.empty? ? 0 : steps.reduce(:&) }
        @open = {}
        @whole = {}
      end

      # Steps of a window (a set) on which nobody is away without whom a job is not done, and nobody at other work.
      def open(job, window) = @open[(job.at * 4096) + window] ||= open_steps(job, window)

      # Those of a job (a set, without who leads it) who are there for a block of it; nil where that is too few.
      def of(job, window, start, steps)
        return job.people if job.may.nobits?(@ever[window])
        return partly(job, window, start, steps) if job.may.anybits?(@ever[window] & ~@always[window])

        key = (job.at * 4096) + window
        @whole.fetch(key) { @whole[key] = enough(job, job.may & ~@always[window]) }
      end

      # Those of a job who may come to a window at all.
      def expected(job, window) = job.must | (job.may & ~@always[window])

      # Whether nobody of a set is away on any of these steps.
      def there?(people, window, start, steps)
        return true if people.nobits?(@ever[window])

        (start...(start + steps)).none? { |step| @away[window][step].anybits?(people) }
      end

      # Steps of a window on which all of a set are there.
      def steps(people, window)
        all = (1 << @away[window].size) - 1
        people.nobits?(@ever[window]) ? all : all & ~steps_away(people, window)
      end

      # Those of a set who are not there on each step of a block from its first to its last.
      def late(people, window, start, steps)
        return 0 if people.nobits?(@ever[window])

        @away[window][start, steps].reduce(0, :|) & people
      end

      # Whether one minor would be alone with one grown-up.
      def alone?(dancers, lead)
        return false if @minors.zero?

        all = dancers | lead
        small = all & @minors
        small.positive? && Values::Bits.count(all) == 2 && Values::Bits.count(small) == 1
      end

      private

      def open_steps(job, window)
        set = steps(job.must, window)
        @working[window]&.each_with_index { |busy, step| set &= ~(1 << step) if busy.anybits?(job.people) }
        set
      end

      def steps_away(people, window)
        @away[window].each_with_index.sum { |gone, step| gone.anybits?(people) ? 1 << step : 0 }
      end

      def partly(job, window, start, steps)
        gone = job.may & @always[window]
        Values::Bits.to_a(job.may & @ever[window] & ~@always[window]).each do |bit|
          missed = @away[window][start, steps].count { |set| set[bit] == 1 }
          gone |= 1 << bit if missed * MISSED > steps || home?(bit, window, start, steps)
        end
        enough(job, job.may & ~gone)
      end

      # A minute too late at home is too late.
      def home?(bit, window, start, steps)
        @home[window]&.slice(start, steps)&.any? { |set| set[bit] == 1 }
      end

      def enough(job, here)
        return if Values::Bits.count(here) < job.enough

        all = job.must | here
        all if job.quotas.all? { |set, least| Values::Bits.count(set & all) >= least }
      end
    end
  end
end
