# frozen_string_literal: true

module Core
  module Learning
    # What runs today: for those present, the longest chains in which a share of those in them is ready for
    # every link and join inside. Ready is a rung for links and one for joins.
    class LongestChains
      SHARE = 0.85
      Chain = Struct.new(:from, :to, :people, :missing, keyword_init: true) do
        # Links in it.
        def length = to - from + 1
      end

      # links: how many; present: person ids; items: Items; progress: Progress.
      def initialize(links:, present:, items:, progress:, share: SHARE, link_rung: "tempo", join_rung: "slow")
        @count = links
        @present = present
        @items = items
        @progress = progress
        @share = share
        @rungs = { link: progress.ladder.index(link_rung), join: progress.ladder.index(join_rung) }
        @index = present.each_with_index.to_h
        @danced, @open, @unjoined = sets
      end

      # Chains that no other contains, longest first.
      def all
        found = (1..@count).filter_map { |from| longest_from(from) }
        kept = found.reject { |chain| found.any? { |other| inside?(chain, other) } }
        kept.sort_by { |chain| [-chain.length, chain.from] }
      end

      private

      def sets
        [(1..@count).map { |i| bits(@items.in_link(i)) },
         (1..@count).map { |i| lacking(@items.of_link(i), @rungs[:link]) },
         (1..@count).map { |i| (item = @items.of_join(i)) ? lacking(item, @rungs[:join]) : 0 }]
      end

      def bits(people) = Values::Bits.of(people.filter_map { |person| @index[person] })

      def lacking(item, rung) = bits(@items.dancers(item).select { |person| @progress.rung(person, item.key) < rung })

      def longest_from(from)
        inside = missing = 0
        best = nil
        (from..@count).each do |to|
          missing |= @unjoined[to - 2] if to > from
          inside |= @danced[to - 1]
          missing |= @open[to - 1]
          best = chain(from, to, inside, missing) if ready?(inside, missing)
        end
        best
      end

      def ready?(inside, missing)
        total = Values::Bits.count(inside)
        total.positive? && Values::Bits.count(inside & ~missing) >= @share * total
      end

      def chain(from, to, inside, missing)
        Chain.new(
          from:,
          to:,
          people: Values::Bits.count(inside),
          missing: Values::Bits.to_a(missing & inside).map { |i| @present[i] }
        )
      end

      def inside?(chain, other) = !chain.equal?(other) && other.from <= chain.from && other.to >= chain.to
    end
  end
end
