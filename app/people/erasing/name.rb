# frozen_string_literal: true

module App
  module People
    module Erasing
      # A name as it may stand in a text: a whole word, in any case, with letters composed or not, any space between its
      # words and either apostrophe.
      #
      #   Name.new("Zoë Quill").stretches("ZOË  QUILL's part")  # => [0...10]
      class Name
        LETTER = '[\p{L}\p{M}\p{N}]'
        SPACE = "[[:space:]]+"
        APOSTROPHES = %w[' ’ ʼ ‘].freeze

        attr_reader :text

        def initialize(text)
          @text = text.to_s.unicode_normalize(:nfc).split.join(" ")
        end

        def single? = !text.include?(" ")
        def first = text.split.first
        def stretches(given) = given.to_enum(:scan, pattern).map { Range.new(*Regexp.last_match.offset(0), true) }
        def in?(given) = given.match?(pattern)
        def same?(given) = given.match?(/\A#{pattern}\z/)

        # The longest run of plain letters that any writing of it holds, lower case: for a first look in SQL. K and s
        # have further letters that fold to them.
        def run = text.downcase.unicode_normalize(:nfd).scan(/[a-jl-rt-z]+/).max_by(&:size).to_s

        private

        def pattern
          @pattern ||= begin
            words = text.split.map { |word| word.grapheme_clusters.map { |letter| written(letter) }.join }
            /(?<!#{LETTER})#{words.join(SPACE)}(?!#{LETTER})/i
          end
        end

        def written(letter)
          ways = APOSTROPHES.include?(letter) ? APOSTROPHES : %i[nfc nfd].map { |form| letter.unicode_normalize(form) }
          ways = ways.uniq.map { |way| Regexp.escape(way) }
          ways.one? ? ways.first : "(?:#{ways.join('|')})"
        end
      end
    end
  end
end
