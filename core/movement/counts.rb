# frozen_string_literal: true

module Core
  module Movement
    # Turns called counts ("3&4", "a3", "5-6") into positions on a line, in twelfths from its first count.
    class Counts
      PARTS = { "e" => 3, "&" => 6 }.freeze
      LAST = { even: 9, triplet: 8 }.freeze

      # length: counts of the line; called: the number said on its first count; wrap: the number after which it goes on
      # with one (8, or its length where that is more).
      def initialize(length, called: 1, feel: :even, wrap: nil)
        @length = length
        @wrap = wrap || [length, 8].max
        @called = called
        @feel = feel
        @last = nil
      end

      # Positions of one token, in order; nil for a count that the line does not have.
      def positions(token)
        return [@last = whole(token.text.to_i)] if token.text.match?(/\A\d+\z/)
        return token.value[0] <= token.value[1] || @called > 1 ? range(*token.value) : [nil] if token.kind == :range

        token.text.downcase.scan(/\d+|[ea&]/).each_with_index
          .map { |part, i| one(part, token.text[0] =~ /[ea&]/ && i.zero?) }
      end

      private

      def range(from, to)
        first = whole(from)
        last = whole(to)
        first && last && last >= first ? (first..last).step(12).to_a : [nil]
      end

      def one(part, before)
        return @last = whole(part.to_i) if part.match?(/\d/)
        return before_next(part) if before

        @last && ((@last / 12 * 12) + share(part))
      end

      # "a3": the last part of the count before; its number follows. Before the line's first count it is a pickup,
      # below 0: it belongs to the last count of whatever comes before.
      def before_next(part) = (@last ? @last / 12 * 12 : -12) + share(part)

      def share(part) = part == "a" ? LAST.fetch(@feel) : PARTS.fetch(part)

      def whole(number)
        position = number >= @called ? number - @called : number - @called + @wrap
        position * 12 if position.between?(0, @length - 1)
      end
    end
  end
end
