# frozen_string_literal: true

module Core
  module Planning
    # What a block would add to the cost of a window, start by start: trips of those who are not there yet, waiting of
    # those who are (less where it fills a gap of theirs).
    class AddedCost
      # people: the set of those who would come; steps: how long it is.
      def initialize(frame, evening, people, steps)
        @steps = steps
        @grid = frame.minutes(1)
        @first, @last, there = evening.spans
        here = there & people
        @trips = here == people ? 0 : frame.trip * Values::Bits.count(people & ~there)
        @here = here.zero? ? 0 : Values::Bits.count(here)
        return if here.zero?

        @first = counted(@first, here)
        @last = counted(@last, here)
      end

      # Minutes for a start.
      def at(start)
        return @trips if @here.zero?

        finish = start + @steps
        more = -@steps * @here
        @first.each { |step, count| more += (step - start) * count if step > start }
        @last.each { |step, count| more += (finish - step) * count if step < finish }
        @trips + (more * @grid)
      end

      private

      def counted(edges, here)
        edges.filter_map do |step, set|
          own = set & here
          [step, Values::Bits.count(own)] unless own.zero?
        end
      end
    end
  end
end
