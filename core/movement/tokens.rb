# frozen_string_literal: true

require "strscan"

module Core
  module Movement
    # Takes a typed line apart into counts, words, pauses, cues, notes and commas.
    module Tokens
      Token = Struct.new(:kind, :text, :value)
      EDGE = /(?![[:alnum:]½])/
      # Tried in this order where the line stands; a word is whatever is none of them.
      PATTERNS = {
        cue: /"[^"]*"|“[^”]*”|(?<![[:alnum:]])['‘][[:alpha:] !?-]{2,40}['’](?![[:alnum:]])/,
        note: /\([^)]*\)?/,
        word: %r{\d/\d#{EDGE}|\d{3}(?=°|º|\s*degrees?|#{EDGE.source})|[½¼¾]},
        range: /\d{1,2}\s*[-–]\s*\d{1,2}#{EDGE}/,
        times: /[x×]\s?0?[1-9]\d?#{EDGE}/i,
        number: /[ea&]?\d{1,2}(?:[ea&]+(?:\d{1,2})?)*#{EDGE}/i,
        comma: /[,;.:]+/,
        dash: /[-–—]+(?=\s|\z)/,
        and: /&#{EDGE}/
      }.freeze
      WORD = /[^\s,;:()"“”]+/
      # What can begin one of the patterns; anything else begins a word.
      OPENING = /["“'‘(\dx×ea&,;.:\-–—½¼¾]/i
      private_constant :EDGE, :PATTERNS, :WORD, :OPENING

      module_function

      def of(text)
        scanner = StringScanner.new(text)
        found = []
        until (scanner.skip(/\s+/) && scanner.eos?) || scanner.eos?
          token = next_token(scanner)
          token ? found << token : scanner.getch
        end
        found
      end

      def next_token(scanner)
        if scanner.match?(OPENING)
          PATTERNS.each do |kind, pattern|
            (said = scanner.scan(pattern)) && (return Token.new(kind == :and ? :number : kind, said, value(kind, said)))
          end
        end
        said = scanner.scan(WORD)
        said && Token.new(:word, said, Vocabulary.fold(said))
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
