# frozen_string_literal: true

module Core
  module Planning
    # What no plan of everything can cost less than: each person comes at least as often as their work asks for that
    # cannot be missed (its minutes in the longest rehearsals, and what waits for another rehearsal); whoever may miss
    # all of theirs comes once or misses it. Waiting is never below nothing.
    class CostBound
      def initialize(frame)
        @frame = frame
        @longest = frame.steps.max || 0
      end

      # Person-minutes.
      def minutes = @frame.people.each_index.sum { |bit| of(bit) }

      private

      def of(bit)
        must, may = @frame.jobs.partition { |job| job.must[bit] == 1 }
        return @frame.trip * trips(must) if must.any?

        missed = may.select { |job| job.may[bit] == 1 }.sum(&:steps)
        [@frame.trip, @frame.minutes(missed) * Price::MISSED].min
      end

      def trips(jobs)
        return 1 if @longest.zero?

        [jobs.sum(&:steps).fdiv(@longest).ceil, chain(jobs)].max
      end

      # The most of these jobs that follow one another in ever later rehearsals.
      def chain(jobs)
        at = jobs.to_h { |job| [job.at, job] }
        @frame.in_order.each_with_object(Hash.new(1)) do |job, length|
          next unless at.key?(job.at)

          length[job.at] = [1, *job.after_window.filter_map { |i| length[i] + 1 if at.key?(i) }].max
        end.values.max || 1
      end
    end
  end
end
