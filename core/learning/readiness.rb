# frozen_string_literal: true

module Core
  module Learning
    # Whether the piece (or some links of it) is ready to be run in one of five ways, and what blocks it: sections and
    # joins at a rung, each for a share of those who dance them. A block that one more dancer would lift says so.
    #
    #   Readiness.new(items, progress, kind: "with_music").blocks  # => [] when it is ready
    class Readiness
      # Rung and share for sections (with what is altered and what groups have of their own), and for joins.
      Bar = Struct.new(:link, :links, :join, :joins)
      # Starting values of the handbook: a stumble-through wants every section and join at slow counts for 80 %; with
      # music sections at tempo for 90 % and joins at tempo for 80 %; full out all with music for 90 %. Marked and slow
      # with counts lie between: nobody is to guess what comes next.
      BARS = {
        "stumble_through" => Bar.new("slow", 0.8, "slow", 0.8),
        "marked" => Bar.new("slow", 0.9, "slow", 0.8),
        "slow_counts" => Bar.new("slow", 0.9, "slow", 0.9),
        "with_music" => Bar.new("tempo", 0.9, "tempo", 0.8),
        "full_out" => Bar.new("music", 0.9, "music", 0.9)
      }.freeze
      KINDS = BARS.keys.freeze
      EDGES = %i[opening ending].freeze
      # item: what; rung: its name; have, of: dancers; lacking: those who are not there; more: how many of them are
      # needed.
      Block = Struct.new(:item, :rung, :have, :of, :lacking, :more, keyword_init: true)

      # kind: one of KINDS; links: a range of link indexes, or nil for all; people: those who would run it.
      def initialize(items, progress, kind:, links: nil, people: items.everybody)
        @items = items
        @progress = progress
        @bar = BARS.fetch(kind) { raise ValueError.new("kind", "must be one of #{KINDS.join(', ')}, got #{kind}") }
        @links = links
        @people = people.to_set
      end

      def ready? = blocks.empty?

      # [Block] in running order.
      def blocks = @blocks ||= asked.filter_map { |item| block(item) }

      private

      def asked
        @asked ||= @items.all.select { |item| !EDGES.include?(item.kind) && inside?(item) }
      end

      # A join counts where both its links are run.
      def inside?(item)
        return true if @links.nil?

        item.links.any? do |index|
          @links.cover?(index) && (item.kind != :join || @links.cover?(index + 1))
        end
      end

      def block(item)
        rung, share = item.kind == :join ? [@bar.join, @bar.joins] : [@bar.link, @bar.links]
        people = @items.dancers(item).select { |person| @people.include?(person) }
        lacking = people.reject { |person| @progress.at_least?(person, item.key, rung) }
        have = people.size - lacking.size
        more = ((share * people.size) - 1e-9).ceil - have
        Block.new(item:, rung:, have:, of: people.size, lacking:, more:) if more.positive?
      end
    end
  end
end
