# frozen_string_literal: true

module Core
  module Movement
    # Takes a typed line apart into counts, words, pauses, cues, notes and commas.
    module Tokens
      Token = Struct.new(:kind, :text, :value)
      NUMBER = /(?:[ea&])?\d{1,2}(?:[ea&]+(?:\d{1,2})?)*/
      PATTERN = /(?<cue>"[^"]*"|“[^”]*”)|(?<note>\([^)]*\)?)|(?<range>\d{1,2}\s*[-–]\s*\d{1,2}(?![a-z0-9]))|(?<times>[x×]\s?\d{1,2}(?![a-z0-9]))
                |(?<number>(?<![a-z0-9])#{NUMBER}(?![a-z0-9½]))|(?<comma>[,;.:]+)|(?<dash>(?<=\s|^)[-–—]+(?=\s|$))|(?<and>(?<![a-z0-9])&(?![a-z0-9]))
                |(?<word>[^\s,;:()"“”]+)/xi

      module_function

      def of(text)
        text.to_enum(:scan, PATTERN).map do
          match = Regexp.last_match
          kind = %i[cue note range times number comma dash and word].find { |name| match[name] }
          Token.new(kind == :and ? :number : kind, match[0], value(kind, match[0]))
        end
      end

      def value(kind, text)
        case kind
        when :cue then text[1..-2]
        when :note then text.delete("()").strip
        when :times then text[/\d+/].to_i
        when :range then text.scan(/\d+/).map(&:to_i)
        when :word then Vocabulary.fold(text)
        end
      end
    end
  end
end
