# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Finds how long something is in words that were typed: "two eights", "4x8s", "half an eight", "3 eights
      # and a half".
      # rows: counts of each eight, or nil where the length is not known ("maybe 2", "vamp till she is there", bars);
      # said: the words; bars: how many, where it was said in bars; bare: a number without a unit.
      class Length < Values::Value.of(:said, rows: nil, bars: nil, bare: nil)
        SIZES = { "eight" => 8, "8" => 8, "six" => 6, "sixe" => 6, "6" => 6, "ten" => 10, "four" => 4, "three" => 3,
                  "two" => 2, "seven" => 7, "five" => 5 }.freeze
        LINE = "(?:8'?s|6'?s|eights?|sixes|fours|threes|twos|sevens|fives|tens)"
        ONE_LINE = "(?:8(?!\\d)|eight|six|ten|four)"
        COUNT = "(?:counts?|cts?|beats?)\\b"
        HALF = "(?:\\s*½|\\s+1/2|\\.5|\\s*(?:and|&)\\s+(?:a\\s+)?half)"
        # Each way to say a length, the longest first.
        WAYS = [
          /\bhalf\s+(?:of\s+)?(?:an?\s+)?(?:eight|8)\b|\ba?\s*half[\s-]eight\b/i,
          /(?<n>#{Amount::PATTERN})(?<half>#{HALF})\s+(?<unit>#{LINE})/i,
          /\bx\s*(?<n>\d{1,2})\s+(?<unit>#{LINE})/i,
          /(?<n>\d{1,3})\s*[x×]\s*(?<unit>8|6|4|10)'?s?\b(?![x×])/i,
          /\b(?<n>#{Amount::COUNTED})(?:(?<=\d)\s*-?\s*|\s+)(?:x|×|times|lots\s+of|
            sets\s+of)?\s*(?!(?<=ty\s)eight\b)(?<unit>#{LINE})(?!\p{L})(?<half>#{HALF})?/i,
          /\b(?<n>(?-i:an?)|one|1)\s+(?<unit>#{ONE_LINE})(?!\s*-?\s*#{COUNT})\b/i,
          /\b(?<n>#{Amount::COUNTED})(?:(?<=\d)\s*|\s*-\s*|\s+)(?<unit>#{COUNT})/i,
          /\b(?<n>\d{1,3})c\b/i
        ].freeze
        BARS = /\b(?<n>#{Amount::COUNTED})(?:(?<=\d)\s*|\s*-\s*|\s+)(?:bars?|measures?)\b/i
        MORE = /\A\s*(?:\+|plus|and|&)\s*(?:an?\s+)?(?:(?<tag>tag)\s+(?:of\s+)?)?
          (?<n>#{Amount::PATTERN})(?:\s*-?\s*(?<unit>counts?|cts?|beats?|tag|more|#{LINE}))?
          (?=\s*(?:\z|[+&,;]|plus\b|and\b))/xi
        LOOSE = "(?:maybe|perhaps|probably|possibly|about|around|roughly|approx(?:imately)?\\.?|ca\\.?|some)"
        OPEN = /\?{2,}|\b#{Amount::COUNTED}\s*(?:secs?|seconds)\b|
          \b#{LOOSE}\s+(?=#{Amount::COUNTED}\b)(?:#{Amount::COUNTED})(?:\s*(?:#{LINE}|#{COUNT}|bars?))?
          |\b(?:#{Amount::PATTERN}\s+(?:or|to)\s+#{Amount::PATTERN}|\d{1,2}\s*[-–]\s*\d{1,2})\s+(?:#{LINE}|
            #{COUNT}|bars?)
          |\b(?:vamps?|repeats?|holds?|waits?|loops?|circles?)?\s*\b(?:till|til|until|for\s+as\s+long\s+as|
            as\s+long\s+as|however\s+long|as\s+needed)\b.*
          |\b(?:no\s+idea|not\s+sure|don'?t\s+know|unsure)\s+how\s+(?:long|many)(?:\s+(?:yet|it\s+is|eights|counts))*
          |\b(?:length|how\s+long)\s+(?:not\s+known|unknown|tbc|tbd|open)\b
          |\bvamp\z|\b(?:tbc|tbd|tba)\b/xi
        # What follows a number that counts something else.
        NO_LENGTH = "\\s*(?:more|last|max|minimum|secs?|seconds?|mins?|minutes?|[ap]m|years?|yrs?|weeks?|days?|" \
                    "people|dancers?|girls?|boys?|kids?|lines?|groups?|of\\s+(?:us|them)|o'clock|%|chairs?|rows?)\\b"
        private_constant :SIZES, :LINE, :ONE_LINE, :COUNT, :HALF, :WAYS, :BARS, :MORE, :LOOSE, :OPEN, :NO_LENGTH

        # Where a length stands in a text: [Length, words before, words after], or nil.
        def self.find(text)
          unsure(text) || bars(text) || said(text)
        end

        # A number that has no unit: as the whole of a text, at its end, or between a name and whoever teaches.
        def self.bare(text)
          match = text.match(/(?<![^\s(])(?<n>\d{1,3}|#{Amount::WORD})(?=\s*(?:\z|\s))(?!#{NO_LENGTH})/io)
          match &&= last_digits(text) || match
          number = match && Amount.of(match[:n])
          return unless number&.positive? && (match.post_match.strip.empty? || match[:n].match?(/\d/) || number > 7)

          [new(said: match[0], bare: number), match.pre_match, match.post_match]
        end

        # Eights of so many counts.
        def self.eights(counts)
          full, rest = counts.clamp(0, (LengthText::MOST + 1) * 8).divmod(8)
          Array.new(full, 8) + (rest.zero? ? [] : [rest])
        end

        # Sum of counts, or nil where it is not known.
        def counts = rows&.sum

        def self.unsure(text)
          match = OPEN.match(text) or return
          [new(said: match[0].strip), match.pre_match, match.post_match]
        end

        def self.bars(text)
          match = BARS.match(text) or return
          [new(said: match[0].strip, bars: Amount.of(match[:n])), match.pre_match, match.post_match]
        end

        def self.said(text)
          found = WAYS.filter_map { |way| way.match(text) }
          match = found.min_by { |one| [one.begin(0), -one[0].length] } or return
          more, rest = more(match.post_match)
          rows = rows(match) + more
          words = text[match.begin(0)...(text.length - rest.length)].strip
          [new(said: words, rows: rows.first(LengthText::MOST + 1)), match.pre_match, rest]
        end

        # [counts of what is added ("+ 4", "and a 4"), the words after it].
        def self.more(rest)
          rows = []
          while (match = MORE.match(rest)) && match[:n]
            rows += more_rows(match)
            rest = match.post_match
          end
          [rows, rest]
        end

        def self.rows(match)
          named = match.named_captures
          return [4] unless named["n"]

          unit = named["unit"].to_s.downcase
          number = Amount.of(named["n"]) || 1
          return eights(number) if unit.empty? || unit.match?(/\A(?:count|ct|beat)/)

          size = size(unit)
          full = Array.new([number, LengthText::MOST + 1].min, size)
          named["half"] ? full + [size / 2] : full
        end

        def self.more_rows(match)
          number = Amount.of(match[:n])
          unit = match[:unit].to_s.downcase
          return [number].reject(&:zero?) if unit.empty? || unit.match?(/\A(?:count|ct|beat|tag|more)/)

          Array.new([number, LengthText::MOST + 1].min, size(unit))
        end

        def self.size(unit) = SIZES[unit.delete("'").delete_suffix("s")] || unit.to_i

        # The last number in figures, where words before it hold another ("step one 16").
        def self.last_digits(text)
          at = text.rindex(/(?<![^\s(])\d{1,3}(?=\s|\z)(?!#{NO_LENGTH})/io) or return
          text.match(/(?<n>\d{1,3})/, at)
        end
        private_class_method :unsure, :bars, :said, :more, :rows, :more_rows, :size, :last_digits
      end
    end
  end
end
