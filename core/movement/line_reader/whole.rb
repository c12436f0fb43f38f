# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # What is said about the whole line: who sits, where it ends, where all meet, from which count it is called.
      module Whole
        # Without one of these nobody sits.
        SITTING = /chair|stool|bench|wheel|seated/i
        # "right two three, left two three": a waltz, called.
        CHANT = /(?:\A|[,;]\s*|\band\s+)(?:right|left|[rl])[ -](?:two|2)[ -](?:three|3)(?=\s*(?:[,;.]|\z|\band\b))/i
        THREE = /[o2][ -](?:three|3)/i
        RIGHT = /\Aright\z/i
        private_constant :RIGHT, :SITTING, :CHANT, :THREE

        private

        def seat
          return unless @text.match?(SITTING)

          @chair = @text.match?(/\b(?:chairs?|stools?|bench(?:es)?)\b/i)
          match = SEATED.match(@text) or return
          return if @text.match?(/\b(?:standing (?:dancers|people|ones)|standers|others|the rest)\b/i)
          return if match.post_match.match?(/\A[^,]*on the floor/i)

          @account.take(match[0])
          @facts[:entry].merge!(weight: :seated, level: :seated)
          @text = match.post_match.sub(/\A[\s,]+/, "")
        end

        # What is said about the whole line is taken out before its moves are read.
        def take_facts(text)
          text = text.gsub(CHANT) { |said| said.sub(/(?:two|2)[ -](?:three|3)/i, "waltz") } if text.match?(THREE)
          return text unless text.match?(FACTS)

          rest = text.sub(MEET) { |said| @account.take(said) && (@facts[:meet] = said[/\d+/].to_i) && "," }
          rest.gsub(ENDS) { |said| place(Regexp.last_match, said) }
        end

        def place(match, words)
          said = match[:place].strip
          return words if match[:at].downcase == "on" && said.downcase.match?(FOOTED)

          @account.take(words)
          (@facts[:exit][:place] = said) && ","
        end

        # "Right, from the top": no foot, where nothing of the feet follows it.
        def greet
          said = @segments.first&.first
          return unless @segments.size > 1 && said&.kind == :words && said.words.map(&:text).join.match?(RIGHT)
          return if feet_next?(@segments[1].first)

          heard(said)
          @segments.shift
        end

        def feet_next?(group)
          return true unless group&.kind == :words

          word = Lexicon.words([group.words.first.text]).first.first
          Lexicon::SIDES.key?(word) || Lexicon::DIRECTIONS.include?(word)
        end

        # "5 6 … 1 2": the line is called from five.
        def called(tokens)
          first = tokens.find { |token| count?(token) && token.text.match?(/\d/) } or return 1
          first = first.text[/\d+/].to_i
          return 1 unless first > 1

          numbers = tokens.select { |token| count?(token) }.flat_map { |token| token.text.scan(/\d+/).map(&:to_i) }
          return 1 unless numbers.all? { |number| number <= @size }

          from_one?(numbers.drop_while { |number| number >= first }) ? first : 1
        end

        # "5 6 1 2 3 4" of a row of six: there the six is the last.
        def wrap(tokens)
          return if @called == 1 || @size >= 8

          numbers = tokens.select { |token| count?(token) }.flat_map { |token| token.text.scan(/\d+/).map(&:to_i) }
          @size if numbers.max == @size && numbers.each_cons(2).include?([@size, 1])
        end

        def count?(token) = %i[number range].include?(token.kind)

        # After the number it is called from it goes on with one, and up from there.
        def from_one?(numbers) = numbers.first == 1 && numbers.each_cons(2).all? { |one, two| two >= one }
      end
    end
  end
end
