# frozen_string_literal: true

module Core
  module Planning
    # The order of items within one rehearsal that makes people wait least. Waiting of a person is the time
    # between their first item's start and last item's end that they do not work.
    #
    #   CallOrder.new([2, 4, 1], ["101", "011"]).best  # => Answer(order: [1, 3, 2], waiting: 0, …)
    #
    # Up to 16 items it is proven by dynamic programming over subsets (an item adds, for everybody who has begun
    # and is not done but does not work in it, its length: cost depends only on the set danced before).
    class CallOrder
      EXACT = 16
      Answer = Struct.new(:order, :waiting, :proven, :by_person, keyword_init: true)

      # durations: minutes per item; calls: per person a text of 0 and 1, a column per item. after: {item => [items]}
      # that come before it (indexes from 0).
      def initialize(durations, calls, after: {})
        @durations = durations
        @after = Array.new(durations.size) { |item| Values::Bits.of(after.fetch(item, [])) }
        @calls = calls.map { |row| Values::Bits.of(row.each_char.with_index.filter_map { |c, i| i if c == "1" }) }
      end

      # The Answer: the order (numbers from 1) in which people wait least, exact up to EXACT blocks, improved by swaps
      # above; minutes of waiting in all and by person.
      def best
        order = @durations.size <= EXACT ? exact : improved
        waits = @calls.map { |items| wait(order, items) }
        Answer.new(
          order: order.map { |i| i + 1 },
          waiting: waits.sum,
          proven: @durations.size <= EXACT,
          by_person: waits
        )
      end

      private

      def wait(order, items)
        places = order.each_index.select { |at| items[order[at]] == 1 }
        return 0 if places.empty?

        order[places.first..places.last].sum { |item| items[item] == 1 ? 0 : @durations[item] }
      end

      def exact
        all = (1 << @durations.size) - 1
        least = Array.new(all + 1)
        last = Array.new(all + 1)
        least[0] = 0
        (0...all).each { |done| spread(done, least, last) if least[done] }
        unwind(all, last)
      end

      def spread(done, least, last)
        open = @calls.select { |items| items.anybits?(done) && items.anybits?(~done) }
        @durations.each_index do |item|
          next if done[item] == 1 || @after[item].anybits?(~done)

          cost = least[done] + (@durations[item] * open.count { |items| items[item].zero? })
          set = done | (1 << item)
          if least[set].nil? || cost < least[set]
            least[set] = cost
            last[set] = item
          end
        end
      end

      def unwind(set, last)
        order = []
        while set.positive?
          order.unshift(last[set])
          set ^= 1 << last[set]
        end
        order
      end

      # Above the exact size: the best of moving one item at a time until nothing helps.
      def improved
        order = in_order
        loop do
          better = neighbours(order).select { |candidate| allowed?(candidate) }.min_by { |candidate| total(candidate) }
          return order if better.nil? || total(better) >= total(order)

          order = better
        end
      end

      def neighbours(order)
        order.each_index.flat_map do |from|
          order.each_index
            .reject { |to| to == from }
            .map { |to| order.dup.tap { |copy| copy.insert(to, copy.delete_at(from)) } }
        end
      end

      # The items as given, but none before what it comes after.
      def in_order
        done = 0
        Array.new(@durations.size) do
          item = @durations.each_index.find { |i| done[i].zero? && @after[i].nobits?(~done) }
          done |= 1 << item
          item
        end
      end

      def allowed?(order)
        done = 0
        order.all? { |item| @after[item].nobits?(~done).tap { done |= 1 << item } }
      end

      def total(order) = @calls.sum { |items| wait(order, items) }
    end
  end
end
