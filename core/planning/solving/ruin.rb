# frozen_string_literal: true

module Core
  module Planning
    # Which few jobs are taken out of a table together: one, some that share people or lie near each other, some of one
    # window or two, of those where people wait most; and whatever has no place.
    class Ruin
      # free: jobs that may be taken.
      def initialize(table, free, random)
        @table = table
        @free = free
        @random = random
      end

      # [Job], at least one.
      def jobs
        chosen =
          case @random.rand
          when 0...0.35 then [any]
          when 0.35...0.7 then related
          when 0.7...0.9 then windows
          else worst
          end
        (chosen + lost).uniq
      end

      private

      def any = @free[@random.rand(@free.size)]

      # Jobs that share most people with one, near it in time.
      def related
        seed = any
        near = (@free - [seed]).max_by(1 + @random.rand(4)) { |job| kinship(seed, job) + (@random.rand * 0.6) }
        [seed, *near]
      end

      def kinship(one, other)
        shared = Values::Bits.count(one.people & other.people).fdiv([Values::Bits.count(one.people), 1].max)
        shared - (((window_of(one) || 0) - (window_of(other) || 0)).abs * 0.15)
      end

      def window_of(job) = @table.blocks[job.at].first&.window

      # Everybody's waiting hangs together within a rehearsal.
      def windows
        few(inside(Array.new(1 + @random.rand(2)) { @random.rand(@table.evenings.size) }))
      end

      def worst
        dearest = @table.evenings.each_index.max_by { |window| @table.window_cost(window) * (0.3 + @random.rand) }
        few(inside([dearest]))
      end

      def inside(windows)
        found = windows.uniq.flat_map { |window| @table.evenings[window].blocks.map(&:job) }.uniq & @free
        found.empty? ? [any] : found
      end

      def few(jobs) = jobs.sample(1 + @random.rand([jobs.size, 7].min), random: @random)
      def lost = @table.unplaced.zero? ? [] : @free.reject { |job| @table.placed?(job) }.first(8)
    end
  end
end
