# frozen_string_literal: true

module Core
  module Movement
    # Sorts a line's tokens into groups: counts, words (with how often and how long), pauses, notes, cues.
    class Groups
      Group = Struct.new(:kind, :words, :tokens, :times, :over, :text, keyword_init: true)
      SIDE = /\A(?:r|l|right|left|rt|lt)\z/

      def initialize(tokens)
        @tokens = drop_list_commas(tokens)
        @groups = []
      end

      def all
        @tokens.each_with_index { |token, i| take(token, i) }
        @groups.reject { |group| group.kind == :break }
      end

      private

      # "R, L, R": the commas belong to one list of sides.
      def drop_list_commas(tokens)
        tokens.each_with_index.reject do |token, i|
          token.kind == :comma && i.positive? && side?(tokens[i - 1]) && side?(tokens[i + 1])
        end.map(&:first)
      end

      def side?(token) = token&.kind == :word && token.value.match?(SIDE)

      def take(token, index)
        case token.kind
        when :word then word(token)
        when :number, :range then number(token, index)
        when :times then repeat(token)
        when :dash then dash(token)
        when :comma then @groups << Group.new(kind: :break)
        else @groups << Group.new(kind: token.kind, text: token.value)
        end
      end

      def word(token)
        @groups << Group.new(kind: :words, words: []) unless @groups.last&.kind == :words
        @groups.last.words << token
      end

      # "over 6" is a length, everything else a count; counts side by side are one group.
      def number(token, index)
        return over(token) if index.positive? && length?(token, index)

        @groups << Group.new(kind: :counts, tokens: []) unless @groups.last&.kind == :counts
        @groups.last.tokens << token
      end

      # In a line with its counts first, "roll over 7 dip" is a roll and then seven.
      def length?(token, index)
        before = @tokens[index - 1]
        return false unless before.kind == :word && before.value == "over" && token.text.match?(/\A\d+\z/)

        !(%i[number range].include?(@tokens.first.kind) && @tokens[index + 1]&.kind == :word)
      end

      def over(token)
        @groups.last.words.pop
        @groups.last.over = token.text.to_i
      end

      def repeat(token)
        last = @groups.reverse.find { |group| group.kind == :words }
        last ? last.times = token.value : word(token)
      end

      # After a count a dash is silence, after words only punctuation.
      def dash(_token)
        @groups << Group.new(kind: @groups.last&.kind == :counts ? :silent : :break, text: "-")
      end
    end
  end
end
