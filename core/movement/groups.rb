# frozen_string_literal: true

module Core
  module Movement
    # Sorts a line's tokens into segments (what stands between commas), and each into groups: counts, words (with how
    # often and how long), pauses, notes, cues.
    class Groups
      Group = Struct.new(:kind, :words, :tokens, :text, :times, :over, :amount, :label)
      SIDE = /\A(?:r|l|right|left|rt|lt|lft|rf|lf)\z/
      # Words that begin something new as a comma does.
      THEN = %w[then].freeze
      # Who does what follows an "and".
      WHO = %w[you we they i he she everybody everyone youre were theyre youll well lets].to_set.freeze
      private_constant :WHO

      def initialize(tokens)
        @tokens = drop_list_commas(drop_count_commas(tokens))
        @segments = [[]]
      end

      # [[Group, …], …]
      def segments
        @tokens.each_with_index { |token, i| take(token, i) unless row_of_sides?(token, i) }
        @segments.reject(&:empty?)
      end

      private

      # "skip 3, 4", "clap. one, two.": counts that go on, and nothing new.
      def drop_count_commas(tokens)
        return tokens if tokens.none? { |token| token.kind == :comma }

        tokens.each_with_index.reject { |token, i| token.kind == :comma && i.positive? && goes_on?(tokens, i) }
          .map(&:first)
      end

      def goes_on?(tokens, index)
        before, after, beyond = tokens.values_at(index - 1, index + 1, index + 2)
        return false unless [before, after].all? { |each| each&.kind == :number && each.text.match?(/\A\d+\z/) }

        after.text.to_i == before.text.to_i + 1 && [nil, :comma, :number].include?(beyond&.kind)
      end

      # "R, L, R": the commas belong to one list of sides.
      def drop_list_commas(tokens)
        return tokens if tokens.none? { |token| token.kind == :comma }

        tokens.each_with_index.reject do |token, i|
          token.kind == :comma && i.positive? && side?(tokens[i - 1]) && side?(tokens[i + 1]) && alone?(tokens, i)
        end.map(&:first)
      end

      # "glissade to the right then left": two sides of one step.
      def row_of_sides?(token, index)
        token.kind == :word && THEN.include?(token.value) && side?(@tokens[index - 1]) && side?(@tokens[index + 1]) &&
          !%i[word].include?(@tokens[index + 2]&.kind)
      end

      def side?(token) = token&.kind == :word && token.value.match?(SIDE)

      # Whether the side after a comma has nothing of its own behind it.
      def alone?(tokens, index)
        after = tokens[index + 2]
        (after.nil? || %i[comma times note number range].include?(after.kind) || row?(tokens, index)) &&
          !side?(tokens[index - 2])
      end

      # "R, L, R, L and pose": the last of a row of sides.
      def row?(tokens, index)
        %w[and then].include?(tokens[index + 2]&.value) && tokens[index - 2]&.kind == :comma && side?(tokens[index - 3])
      end

      # The group that is being filled, or nil.
      attr_reader :group

      def add(kind, words: nil, tokens: nil, text: nil)
        @group = Group.new(kind, words, tokens, text)
        @segments.last << @group
      end

      def begin_segment
        @group = nil
        @segments << []
      end

      def take(token, index)
        case token.kind
        when :word then word(token, @tokens[index + 1])
        when :number, :range then number(token)
        when :amount then amount(token)
        when :over then lasting(token, index)
        when :times then repeat(token, @tokens[index + 1])
        when :dash then dash(index)
        when :comma then break_off(token)
        else add(token.kind, text: token.value)
        end
      end

      def word(token, following = nil)
        return break_off(token) if THEN.include?(token.value) && group&.kind != :counts && @segments.last.any?

        break_off(token) if another?(token, following)

        add_words unless group&.kind == :words && (group.times.nil? || @ahead_of.equal?(group))
        group.words << token
      end

      def add_words
        add(:words, words: [])
        return unless @ahead

        group.times = @ahead
        @ahead = nil
        @ahead_of = group
      end

      # "the left rests and you clap": somebody does something else now.
      def another?(token, following)
        %w[and but so].include?(token.value) && group&.kind == :words && WHO.include?(following&.value)
      end

      def number(token)
        add(:counts, tokens: []) unless group&.kind == :counts
        group.tokens << token
      end

      # How many of what follows or stands before: "8 walks", "4 more".
      def amount(token)
        word(Tokens::Token.new(:word, token.text, ""))
        group.amount = token.value
      end

      # "over 6", "for 4 counts".
      def lasting(token, index)
        return @segments[-2].last.over = token.value if long_before?(index)
        return word(Tokens::Token.new(:word, token.text, "")) unless group&.kind == :words

        group.over = token.value
      end

      # "walk left, 8 counts": as long as that, and nothing else is said.
      def long_before?(index)
        before = @segments[-2]&.last
        return false unless group.nil? && before&.kind == :words && [nil, :comma].include?(@tokens[index + 1]&.kind)

        @segments[-2].one? && before.over.nil? && before.amount.nil? && before.times.nil?
      end

      # "x2" repeats what stands before it; before words or a colon, what follows: "x2: step R", "4 x chassé".
      def repeat(token, following)
        last = @segments.last.reverse.find { |each| each.kind == :words }
        ahead = following&.kind == :word || following&.text == ":"
        return @ahead = token.value if ahead && @segments.last.empty?

        return last.times = token.value if last && @segments.last.last.kind == :words

        add(:again)
        group.times = token.value
      end

      # After a count a dash is silence, after words only punctuation.
      def dash(_index) = group&.kind == :counts ? add(:silent, text: "-") : begin_segment

      def break_off(token)
        group.label = true if token.text.include?(":") && group
        begin_segment
      end
    end
  end
end
