# frozen_string_literal: true

module Core
  module Movement
    # "again", "do that twice", "same to the left", "other side": what was danced on the line so far, once more or
    # oftener, on the other side where that is said.
    #
    #   Repeats.of(tokens of "same to the left")  # => Repeats::Said with more: 1, side: :left
    class Repeats
      # more: how often again; turned: on the other side; side: to be begun on; those: of what was named last, whatever
      # that is.
      Said = Struct.new(:more, :turned, :side, :those, keyword_init: true)
      WORDS = %w[
        and then now just do that it this all the same again repeat repeats repeated thing twice two three times once
        more on to in other way side opposite reverse reversed mirror mirrored left right for of from with foot
        starting whole lot swap sides change legs feet time first second going back leg so we but goes exactly both
        as w before by a you l r is thats lft rt lf rf n those these them four five six seven
      ].to_set.add("").freeze
      SWAP = /\A(?:and |then )*(?:swap|switch|change)(?: sides| legs| feet)?\z/
      THERE = /\Anow (?:on |to )?the (?:left|right)\z/
      KEYS = /\b(?:again|repeat(?:s|ed)?|same|twice|thrice|once\ more|one\ more\ time|reversed?|mirror(?:ed)?)\b|
        \bmore\ of\ (?:those|these|them|that)\b|\b(?:other|opposite)\ (?:way|side|foot|leg)\b|\bdo\ (?:that|it)\b/x
      TURNED = /\b(?:swap|change)\b|\b(?:reversed?|mirror(?:ed)?)\b|\b(?:other|opposite) (?:way|side|foot|leg)\b/
      OF_THOSE = /\b(?:(?<many>\w+) )?more of (?:those|these|them|that)\b/
      # Most moves that a repeat makes: beyond that it is no dance.
      MOST = 256
      private_constant :OF_THOSE, :MOST, :WORDS, :SWAP, :THERE, :KEYS, :TURNED

      # tokens: Tokens::Token of words => Said or nil.
      def self.of(tokens)
        words = Lexicon.words(tokens.map(&:text)).map(&:first)
        return unless tokens.each_with_index.all? { |token, i| known?(token, words[i]) }

        text = words.join(" ")
        return unless [KEYS, SWAP, THERE].any? { |pattern| text.match?(pattern) }

        side = words.reverse.filter_map { |word| Lexicon::SIDES[word] }.first
        Said.new(more: more(text), turned: text.match?(TURNED), side:, those: text.match?(OF_THOSE))
      end

      def self.known?(token, word) = WORDS.include?(token.value) || (token.value != word && WORDS.include?(word.to_s))

      def self.more(text)
        return 2 if text.match?(/three times|thrice/)

        word = text[OF_THOSE, "many"] or return 1
        Lexicon::NUMBERS[word] || 1
      end
      private_class_method :more, :known?

      # moves: [Move] so far; size: twelfths of the line.
      def initialize(moves, size)
        @moves = moves
        @size = size
      end

      # The moves of the repeat alone. more: how often; positions: where it was said to lie (twelfths), or [].
      def again(more, positions: [], turned: false, side: nil)
        part = part_of(positions)
        return [] if part.empty?

        more = [more, MOST / part.size].min

        span = span_of(part)
        turned ||= side && first_side(part) && first_side(part) != side
        once = part.one? && more == 1 && !turned
        return copy([Times.follow(part.first)], shift(part, span, positions, 0), false) if once

        Array.new(more) { |i| copy(part, shift(part, span, positions, i), side ? turned : turned && i.even?) }.flatten
      end

      private

      # All that was danced, or as many counts of it as the repeat has.
      def part_of(positions)
        return @moves if positions.empty? || !@moves.all?(&:at)

        room = positions.last - positions.first + 12
        after = @moves.select { |move| move.at >= positions.first - room }
        after.empty? ? @moves : after
      end

      def span_of(part)
        return unless part.all?(&:at)

        last = part.map { |move| move.length ? move.end_at : ((move.at / 12) + 1) * 12 }.max
        last - (part.first.at / 12 * 12)
      end

      def first_side(part) = part.find { |move| move.side && move.layer == :feet }&.side

      # By how much the repeat lies later; nil where its counts are not known.
      def shift(part, span, positions, index)
        return unless span
        return positions.first - (part.map(&:at).min / 12 * 12) + (span * index) if positions.any?

        by = span * (index + 1)
        by if part.last.at + by < @size && part.first.at + by + span <= @size
      end

      def copy(part, shift, turned)
        part.map do |move|
          move = Mirror.move(move) if turned
          next move.with(at: nil, places: [], said: [], range: false) unless shift

          move.with(
            at: move.at + shift, places: move.places.map { |place| place + shift },
            said: move.said.map { |place| place + shift }
          )
        end
      end
    end
  end
end
