# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Whole numbers as people write them: "16", "sixteen", "thirty-two", "a", "a couple of".
      module Amount
        ONES = %w[zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen
                  seventeen eighteen nineteen].freeze
        TENS = %w[twenty thirty forty fifty sixty seventy eighty ninety].freeze
        WORD = "(?:(?:#{TENS.join('|')})(?:[\\s-](?:#{ONES[1..9].join('|')}))?|#{ONES.reverse.join('|')})".freeze
        # A number in figures or words; with articles, which only count before a unit.
        PATTERN = "(?:\\d{1,4}|(?:a\\s+|one\\s+)?hundred(?:\\s+and\\s+#{WORD})?|#{WORD})".freeze
        COUNTED = "(?:#{PATTERN}|an?\\s+couple\\s+of|a\\s+single|an?)".freeze

        module_function

        # "thirty-two" => 32; nil for what is no number.
        def of(text)
          words = text.to_s.downcase.strip
          return words.to_i if words.match?(/\A\d+\z/)
          return 2 if words.match?(/\Aa\s+couple/)
          return 1 if words.match?(/\A(?:an?|a\s+single)\z/)

          hundred(words) || below_hundred(words)
        end

        def hundred(words)
          match = words.match(/\A(?:a\s+|one\s+)?hundred(?:\s+and\s+(?<rest>.+))?\z/) or return
          100 + (below_hundred(match[:rest].to_s) || 0)
        end

        def below_hundred(words)
          return ONES.index(words) if ONES.include?(words)

          tens, one = words.split(/[\s-]/)
          at = TENS.index(tens) or return
          ((at + 2) * 10) + (one ? ONES.index(one).to_i : 0)
        end
        private_class_method :hundred, :below_hundred
      end
    end
  end
end
