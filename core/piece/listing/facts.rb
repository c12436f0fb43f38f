# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # What a line of a list says of the whole piece: its title, tempo, date, the music's length, counts to a
      # bar, who
      # teaches all of it.
      module Facts
        TITLE = /\A(?:title|name\s+of\s+(?:the\s+)?piece|piece|called|name)\s*[:=]\s*(?<title>.{1,80})\z/i
        BPM = /\b(?<bpm>\d{2,3})\s*(?:bpm|beats\s+(?:a|per)\s+min(?:ute)?)\b|\b(?:bpm|
          tempo)\s*[:=]?\s*(?<after>\d{2,3})\b/xi
        DATE = %r{\b(?:show|performance|premiere|concert|date|competition|comp)\b(?:\s+(?:date|day))?\s*
          (?:is\s+|on\s+|:\s*|=\s*)+(?:the\s+)?(?<date>[\d\p{L}][\d\p{L}./ -]{2,24}?)\s*(?:[,;!(]|\z)}xi
        LENGTH = /\b(?:music|track|song|piece|length)\b(?:\s+(?:length|is|lasts|
          runs))*\s*[:=]?\s*(?<length>\d{1,2}:[0-5]\d)\b/xi
        BAR = /\b(?<n>#{Amount::PATTERN})\s*(?:counts?|cts|beats?)\s*(?:in|to|per|a|for)\s*(?:a|the|each|
          every)?\s*bar\b|
          \bbars?\s+(?:of|are|is|=|have|has)\s+(?<of>#{Amount::PATTERN})(?:\s+counts?)?\b/xi
        EVERYTHING = /\A(?<who>#{Names::MANY})\s+(?:teach(?:es)?|does|do|sets?|takes?|is\s+teaching)\s+
          (?:all(?:\s+of\s+(?:it|this))?|everything|the\s+(?:whole\s+(?:thing|piece)|lot))[.!]?\z/xi
        STAFF = /\A(?:teachers?|choreographers?|staff|choreo|taught\s+by)\s*[:=-]\s*(?<who>#{Names::MANY}
          (?:\s*,\s*#{Names::MANY})*)[.!]?\z/xi
        private_constant :STAFF, :TITLE, :BPM, :DATE, :LENGTH, :BAR, :EVERYTHING

        module_function

        # {fact => value} of a line without a length of its own; empty where it says nothing of the kind.
        def of(text)
          {
            title: text[TITLE, :title]&.strip,
            bpm: (text[BPM, :bpm] || text[BPM, :after])&.to_i,
            date: text[DATE, :date]&.strip,
            length: text[LENGTH, :length],
            bar: Amount.of(text[BAR, :n] || text[BAR, :of]),
            staff: (Names.split(text[STAFF, :who]) if text.match?(STAFF) && Names.shape(text[STAFF, :who])),
            everything: (Names.split(text[EVERYTHING, :who]) if text.match?(EVERYTHING))
          }.compact
        end
      end
    end
  end
end
