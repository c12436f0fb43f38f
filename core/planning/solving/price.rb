# frozen_string_literal: true

module Core
  module Planning
    # What a block would add to the cost of a window, start by start: trips of those who are not there yet, waiting of
    # those who are (less where it fills a gap of theirs).
    class Price
      def initialize(table, job, window, steps)
        @frame = table.frame
        @steps = steps
        @began, @goes_on, attends = table.spans(window)
        @size = @began.size
        @here = attends & job.people
        newcomers = job.people & ~attends
        @trips = newcomers.zero? ? 0 : @frame.trip * Values::Bits.count(newcomers)
      end

      # [[minutes, start], …] of the starts in a set, cheapest first, then earliest.
      def order(starts)
        list = Values::Bits.to_a(starts)
        return list.map { |start| [@trips, start] } if @here.zero?

        waits
        list.map { |start| [price(start), start] }.sort
      end

      private

      # Running sums: whoever has not begun waits after the block, whoever is done waits before it.
      def waits
        @after = Array.new(@size + 1, 0)
        (@size - 1).downto(0) { |step| @after[step] = @after[step + 1] + count(@here & ~@began[step]) }
        @before = Array.new(@size + 1, 0)
        (0...@size).each { |step| @before[step + 1] = @before[step] + count(@here & ~@goes_on[step]) }
      end

      def price(start)
        ends = start + @steps
        inside = start.zero? ? 0 : count(@here & @began[start - 1] & @goes_on[ends])
        @trips + @frame.minutes(@after[ends] + @before[start] - (@steps * inside))
      end

      def count(set) = set.zero? ? 0 : Values::Bits.count(set)
    end
  end
end
