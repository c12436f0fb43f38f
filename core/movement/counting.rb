# frozen_string_literal: true

module Core
  module Movement
    # Tells the numbers that are counts from those that are amounts: "3 and 4", "five to eight" and "on one" are counts,
    # "for 4 counts", "8 walks", "over 6", "three stamps" and "2 hands" are not. Takes and answers Tokens::Token; counts
    # come out as :number and :range, amounts as :amount (how many), lengths as :over (for how many counts).
    class Counting
      Token = Tokens::Token
      CALLS = %i[number range].freeze
      JOINING = %w[and n &].freeze
      # "and eight is a touch": a number that is something is a count.
      IS = %w[is was youre were theyre its].freeze
      FEET = %w[ft feet].freeze
      UP_TO = %w[to til till until through thru].freeze
      CALLED = %w[on count counts by at beat beats].freeze
      LASTING = %w[for over].freeze
      OFTEN = { "twice" => 2, "thrice" => 3 }.freeze
      NOUNS = /\A(?:counts?|cts?|beats?)\z/
      TIMES = /\A(?:times|x|xs)\z/
      HOW = %w[more of little small big quick slow fast more tiny baby easy high low runs steps walks skips hops].freeze
      # Words after a number that may make an amount or a range of it.
      SPECIAL = /s\z|\A(?:and|n|to|til|till|until|through|thru|x|more|of|count|beat|ct|little|small|big|quick|slow|
        fast|tiny|baby|easy|high|low|feet|ft)\z/x
      HOW_OFTEN = /\A(?:times|x|xs|counts?|cts?|beats?|more)\z/
      DEFINITE = %w[the each this that other].freeze
      WALKS = %w[walk march run strut step walks marches runs].freeze
      AFTER_STEPS = %w[start starting then and to forward back backwards around in toward towards].freeze
      WAYS = %w[forward fwd back backward backwards bk on the spot].freeze
      SINGULAR = /\A(?:foot|leg|knee|arm|hand|more|another|shoulder|side|last|big|at|by|after|of|is|goes|behind|in)\z/

      include Amounts
      include Joined

      # size: counts of the line.
      def initialize(tokens, size)
        @tokens = tokens
        @size = size
        @last = 0
        @found = []
        @spoken = spoken?
      end

      def tokens
        @at = 0
        step while @at < @tokens.size
        @found
      end

      private

      # Whether numbers are called in words: at least three of them in a row, or one after "on".
      def spoken?
        said = @tokens.select { |token| token.kind == :word }.filter_map { |token| Lexicon::NUMBERS[token.value] }
        said.each_cons(2).any? { |one, two| two == one + 1 }
      end

      def token(by = 0) = (@at + by).negative? ? nil : @tokens[@at + by]
      def value(by = 0) = token(by)&.value.to_s

      def step
        case @tokens[@at].kind
        when :number then number
        when :range then take(token.value.last)
        when :word then word
        else keep
        end
      end

      def keep(count = 1)
        count == 1 ? @found << @tokens[@at] : @found.concat(@tokens[@at, count])
        @at += count
      end

      def take(last)
        @last = last if last
        keep
      end

      def word
        said = @tokens[@at].value
        number = Lexicon::NUMBERS[said]
        return and_count if JOINING.include?(said)
        return often if OFTEN.key?(said) && @found.last&.kind == :word
        return keep if number.nil? || value(1).match?(/\Aquarters?\z/) || (number == 3 && step_turn?(3))

        named_count?(number) || spoken_count?(number) ? count(number) : amount_or_word(number)
      end

      # "and eight is a touch".
      def named_count?(number) = IS.include?(value(1)) && number.between?(1, @size)

      # A number in digits.
      def number
        text = @tokens[@at].text
        return keep_as_word if text == "3" && step_turn?(@last + 1)
        return take(text.to_i) if plain?(text) && (text == "1" || !steps_next?)
        return keep_as_word if text == "&" && joining?
        return take(last_of(token)) unless text.match?(/\A\d+\z/)

        return two_feet if text == "2" && FEET.include?(value(1))

        given = text.to_i
        amount?(given) ? amount(given) : count(given)
      end

      # "3 step turn", where no count 3 is due; "three step turn" always is one.
      def step_turn?(due) = value(1) == "step" && value(2) == "turn" && (due != 3 || value == "three")

      # One digit before a word or a break that makes nothing else of it: the common case, decided at once.
      def plain?(text)
        return false unless text.match?(/\A[1-8]\z/)

        before = @tokens[@at - 1] if @at.positive?
        after = @tokens[@at + 1]
        return false if before&.kind == :word && (LASTING.include?(before.value) || !counts_first?)

        after.nil? || after.kind == :comma || (after.kind == :word && !after.value.match?(SPECIAL)) ||
          (after.kind == :number && after.text.match?(/\A\d/))
      end

      # "crouch & touch": no count, where the counts stand behind their moves.
      def joining? = opening&.kind == :word && token(1)&.kind == :word

      # What the part between commas begins with.
      def opening
        comma = @found.rindex { |each| each.kind == :comma }
        @found[comma ? comma + 1 : 0]
      end

      def counts_first? = CALLS.include?(opening&.kind)

      def keep_as_word
        @found << Token.new(:word, token.text, "and")
        @at += 1
      end

      def last_of(token) = token.text.scan(/\d+/).last&.to_i

      # "3 and 4" is one thing to call; "5 to 8" is a range.
      def count(given)
        text = given.to_s
        used = 1
        if UP_TO.include?(value(1)) && (to = called(2)) && to > given
          return put(:range, "#{given}-#{to}", 3, [given, to])
        end

        while joined?(used) && (following = called(used + 1)) && following == given + 1
          text += "&#{following}"
          given = following
          used += 2
        end
        put(:number, text, used)
      end

      def put(kind, text, used, value = nil)
        original = @tokens[@at, used].map(&:text).join(" ")
        @last = text.scan(/\d+/).last.to_i
        @found << Token.new(kind, used == 1 && token.kind == :number ? original : text, value)
        @at += used
      end

      def joined?(by) = JOINING.include?(value(by)) || (token(by)&.kind == :number && token(by).text == "&")

      def called(by)
        following = token(by) or return
        return Lexicon::NUMBERS[following.value] if following.kind == :word

        following.text.to_i if following.kind == :number && following.text.match?(/\A\d+\z/)
      end

      # A number in words is a count after "on" or "and", or where the line is counted in words.
      def spoken_count?(given)
        return false if value(1).match?(HOW_OFTEN) || value(-1) == "for"
        return CALLED.include?(value(-1)) unless value(1).match?(SINGULAR) || !CALLED.include?(value(-1))
        return false if DEFINITE.include?(value(-1)) || value(1).match?(SINGULAR) || plural_next? || steps_next?

        @spoken ? given == @last + 1 || beside?(given) : @last.positive? && given == @last + 1
      end

      def beside?(given) = called(1) == given + 1 || (joined?(1) && called(2) == given + 1) || range_next?
      def range_next? = UP_TO.include?(value(1)) && !called(2).nil?
      def plural_next? = token(1)&.kind == :word && value(1).match?(/[^s]s\z/) && !Lexicon::NUMBERS.key?(value(1))
    end
  end
end
