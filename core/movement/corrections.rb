# frozen_string_literal: true

module Core
  module Movement
    # Who speaks corrects as they go: "right foot, no sorry, left foot forward". What comes after the word of correction
    # stands for what was said before it; where it is only a side, it stands for the last side.
    module Corrections
      MARKS = [
        %w[no wait], %w[no sorry], %w[wait no], %w[no no], %w[sorry no], %w[oh no], %w[i mean], %w[scratch that],
        %w[sorry], %w[actually], %w[wait sorry], %w[no i mean], %w[or rather], %w[correction]
      ].sort_by { |mark| -mark.size }.freeze
      CLAUSE = %w[then].freeze
      OPENINGS = MARKS.to_set(&:first).freeze
      SIGNS = /\b(?:#{OPENINGS.to_a.join('|')})\b/i
      private_constant :MARKS, :CLAUSE, :OPENINGS, :SIGNS

      module_function

      # Whether a text can be corrected anywhere.
      def possible?(text) = text.match?(SIGNS)

      # [Tokens::Token] => the same as it was meant.
      def of(tokens)
        return tokens unless tokens.any? { |token| token.kind == :word && OPENINGS.include?(token.value) }

        at, size = mark(tokens)
        return tokens unless at

        of(corrected(tokens, at, size))
      end

      def mark(tokens)
        tokens.each_with_index do |token, at|
          next unless token.kind == :word && OPENINGS.include?(token.value)

          found = MARKS.find { |words| said?(tokens, at, words) }
          return [at, found.size] if found
          return [at, 1] if lone_no?(tokens, at)
        end
        nil
      end

      def said?(tokens, at, words)
        words.each_with_index.all? { |word, i| tokens[at + i]&.kind == :word && tokens[at + i].value == word }
      end

      # "…, no, left foot first"
      def lone_no?(tokens, at)
        said?(tokens, at, %w[no]) && (at.zero? || tokens[at - 1].kind == :comma) &&
          (tokens[at + 1]&.kind == :comma || side?(tokens[at + 1]))
      end

      def side?(token) = token&.kind == :word && Lexicon::SIDES.key?(Lexicon::SPELT.fetch(token.value, token.value))

      def corrected(tokens, at, size)
        from = clause_start(tokens, at)
        to = clause_end(tokens, at + size)
        before = tokens[from...at]
        after = tokens[(at + size)...to].drop_while { |token| token.kind == :comma }
        [*tokens[0...from], *merged(before, after), *tokens[to..]]
      end

      def clause_start(tokens, at)
        at -= 1 if at.positive? && tokens[at - 1].kind == :comma
        index = tokens[0...at].rindex { |token| boundary?(token) }
        index ? index + 1 : 0
      end

      def clause_end(tokens, from)
        from += 1 while tokens[from]&.kind == :comma
        index = tokens[from..].to_a.index { |token| boundary?(token) }
        index ? from + index : tokens.size
      end

      def boundary?(token) = token.kind == :comma || (token.kind == :word && CLAUSE.include?(token.value))

      def merged(before, after)
        before = before[0...-1] if before.last&.kind == :comma
        words = after.select { |token| token.kind == :word }
        return after unless before.any? && words.any? && words.all? { |token| only_side?(token) }

        other_side(before, after, words.find { |token| side?(token) })
      end

      # The side that was said last is the other one; a count said with it is kept where there was none.
      def other_side(before, after, side)
        at = before.rindex { |token| side?(token) }
        return [*before, *after] unless at && side

        counts = before.any? { |token| token.kind == :number } ? [] : after.select { |token| token.kind == :number }
        [*before[0...at], side, *before[(at + 1)..], *counts]
      end

      def only_side?(token) = side?(token) || %w[foot leg the one on with your first].include?(token.value)
      private_class_method :mark, :said?, :lone_no?, :side?, :corrected, :clause_start, :clause_end, :boundary?,
                           :merged, :other_side, :only_side?
    end
  end
end
