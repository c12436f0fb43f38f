# frozen_string_literal: true

module Core
  module Planning
    # Once a plan is found: the least catching up without a place comes before cost. The best tables met on the way are
    # looked at, then what is missed is moved to evenings to which more of its people come.
    class FewerMissed
      # Beside any price: one who misses a step of something.
      FAR = 100_000

      def initialize(table, score, fixed: [])
        @table = table
        @frame = table.frame
        @score = score
        @fixed = fixed
        @places = Places.new(table)
      end

      # met: states of the table that were good, too; the table becomes the best of all. block: told a job, answers
      # the last window it may lie in.
      def run(met)
        return if @frame.jobs.all? { |job| job.may.zero? } || owed.empty?

        choose([@table.state, *met.reverse])
        owed.map(&:first).each { |job| elsewhere(job, yield(job)) unless @fixed.include?(job.id) }
      end

      # [Job] of which catching up finds no place.
      def jobs = owed.map(&:first)

      private

      def choose(states)
        best = states.min_by.with_index do |state, i|
          @table.restore(state)
          [*rank, i]
        end
        @table.restore(best)
      end

      def rank = [@score.first(@table), owed.sum(&:last), @score.of(@table)]

      # [[job, minutes of catching up without a place], …]; the table stays as it is.
      def owed
        before = @table.state
        lessons = MissedLessons.new(@table)
        lessons.all
        lessons.left.tap { @table.restore(before) }
      end

      def elsewhere(job, last)
        before = @table.state
        rank = rank()
        @table.take(job)
        bounds = @places.bounds(job, last)
        put = bounds && @places.cheap(job, bounds) { |window| missing(job, window) * FAR }
        @table.restore(before) unless put && (rank() <=> rank).negative?
      end

      def missing(job, window)
        set = job.may & ~@frame.expected(job, window)
        set.zero? ? 0 : Values::Bits.count(set)
      end
    end
  end
end
