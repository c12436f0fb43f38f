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
      # What stands between a chain and one link more. link: its index; lacking: who is not ready for it or its join;
      # more: how many of them it takes.
      Longer = Struct.new(:link, :lacking, :more, keyword_init: true)

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

      # What would make a chain longer by one link, at its end and before its beginning: [Longer], the easier first.
      def longer(chain)
        [[chain.from, chain.to + 1], [chain.from - 1, chain.to]]
          .select { |from, to| from >= 1 && to <= @count }
          .map { |from, to| step(from, to, to > chain.to ? to : from) }
          .sort_by(&:more)
      end

      private

      def step(from, to, link)
        inside = (from..to).map { |i| @danced[i - 1] }.reduce(:|)
        missing = ((from..to).map { |i| @open[i - 1] } + (from...to).map { |i| @unjoined[i - 1] }).reduce(:|) & inside
        total = Values::Bits.count(inside)
        ready = total - Values::Bits.count(missing)
        new = missing & (@open[link - 1] | @unjoined[seam(link, from)])
        Longer.new(
          link:,
          lacking: people(new.zero? ? missing : new),
          more: [((@share * total) - 1e-9).ceil - ready, 1].max
        )
      end

      # The join that the further link brings, by its place: before it at the end, behind it at the beginning.
      def seam(link, from) = link == from ? link - 1 : link - 2
      def people(set) = Values::Bits.to_a(set).map { |i| @present[i] }

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
          missing: people(missing & inside)
        )
      end

      def inside?(chain, other) = !chain.equal?(other) && other.from <= chain.from && other.to >= chain.to
    end
  end
end
