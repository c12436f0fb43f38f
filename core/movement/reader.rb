# frozen_string_literal: true

module Core
  module Movement
    # Reads the eights of a section, each typed as a line, knowing the eights before it:
    # "//" and "/" begin a new eight, "in 6:" sets the length, "o/s" is the eight before on the other side,
    # "repeat 1-2", "repeat 1-2 mirrored" and "as Comb eight 3" take eights from elsewhere. It reads any text: what it
    # cannot make sense of stays as typed, in the line's notes.
    class Reader
      OTHER_SIDE = %r{\A\s*(?:o/s|other\s+side|same\s+(?:on\s+the\s+)?other\s+side)\b[\s,:]*(?<rest>.*)\z}im
      MIRRORED = "(?<side>\\s*,?\\s*(?:mirrored|other\\ side|o/s))?"
      REPEAT = /\A\s*repeat\s+(?:eights?\s+)?
        (?<from>\d{1,2})(?:\s*[-–]\s*(?<to>\d{1,2}))?#{MIRRORED}\s*\z/ix
      BORROWED = /\A\s*as\s+(?<name>.+?)\s+(?:eights?|row)\s+
        (?<number>\d{1,2})#{MIRRORED}\s*\z/ix
      IN = /\A\s*in\s+(?<counts>\d{1,2})\s*[:,]\s*/i

      # A whole eight of words that only point back, in no form that is read: nobody knows what of it is danced again.
      BACK = /\A\W*
        (?=.*\b(?:again|same|repeat(?:ed|s)?|once\s+more|ditto|as\s+before|other|opposite|mirror\w*|revers\w*)\b)
        (?:(?:and|then|now|just|do|it|that|this|all|of|the|to|on|with|but|same|thing|again|repeat(?:ed|s)?|once|more|
        twice|ditto|as|before|above|last|time|other|opposite|way|side|foot|leg|round|around|mirror(?:ed)?|
        reversed?|whole|eight|one)\b\W*)+\z/xi

      # Whether a text takes eights from before it in its section.
      def self.points_back?(text) = [OTHER_SIDE, REPEAT].any? { |way| way.match?(text) }

      # The name of the section a text takes an eight from, or nil.
      def self.names(text) = BORROWED.match(text)&.[](:name)

      # Whether a text can be read, danced, turned to its other side and written again. What is stored is asked this
      # once.
      def self.readable?(text, counts: 8, vocabulary: Vocabulary::DEFAULT)
        lines = new(vocabulary:).read(text, counts:)
        return false if lines.flat_map(&:faults).any? { |fault| fault.kind == :unreadable }

        [lines, lines.map { |line| Mirror.line(line) }].each { |side| Walk.new(side, vocabulary:) }
        lines.each { |line| Writer.new(line).text }
        true
      rescue StandardError
        false
      end

      # elsewhere: (section name, number) -> Line or nil; names: of the piece's groups.
      def initialize(vocabulary: Vocabulary::DEFAULT, feel: :even, names: [], elsewhere: ->(_name, _number) {})
        @vocabulary = vocabulary
        @names = names
        @feel = feel
        @elsewhere = elsewhere
        @read = {}
      end

      # rows: [[text, counts], …] => [[Line, …], …], the lines of each row (more than one where its text fills
      # more).
      def section(rows)
        so_far = []
        rows.map do |text, counts|
          lines = one(text, counts, so_far)
          so_far.concat(lines)
          lines
        end
      end

      # The lines of one typed text: [Line].
      def read(text, counts: 8) = one(text, counts, [])

      private

      def one(text, counts, before)
        text = text.scrub("?")
        given = IN.match(text)
        counts = given[:counts].to_i.clamp(1, 64) if given
        rest = given ? given.post_match : text
        parts = rest.match?(%r{[/\n]}) ? rest.split(%r{//|(?<=[\s,])/(?=\s)|\n}, -1) : [rest]
        parts.each_with_index.with_object([]) do |(part, i), lines|
          lines.concat(eight(part, counts, before + lines)) unless part.strip.empty? && i.positive?
        end
      end

      def eight(text, counts, before)
        case text
        when OTHER_SIDE then other_side(Regexp.last_match[:rest], before, counts)
        when REPEAT then repeat(Regexp.last_match, before, counts)
        when BORROWED then borrowed(Regexp.last_match, counts)
        when BACK then [back(text.strip, counts)]
        else @read[[text, counts]] ||= understood(text, counts)
        end
      end

      # Kept as words; what comes of it is only supposed.
      def back(text, counts) = Line.new(counts:, moves: [Move.new(text:, kind: :unknown)])

      # The last line of defence: where the reader itself fails, its line says so, and nothing else goes with it.
      def understood(text, counts)
        LineReader.new(text, counts:, feel: @feel, vocabulary: @vocabulary, names: @names).lines
      rescue StandardError
        [Line.new(counts:, notes: [text], faults: [Line::Fault.new(:unreadable, nil, text)])]
      end

      def other_side(rest, before, counts)
        return [missing("o/s #{rest}".strip, counts)] if before.empty?

        notes = rest.strip.empty? ? [] : [rest.strip]
        [Mirror.line(before.last).with(notes:, faults: [])]
      end

      def repeat(match, before, counts)
        from = match[:from].to_i
        to = (match[:to] || match[:from]).to_i
        return [missing(match[0].strip, counts)] unless from.between?(1, before.size) && to.between?(from, before.size)

        lines = before[(from - 1)..(to - 1)]
        match[:side] ? lines.map { |line| Mirror.line(line) } : lines
      end

      def borrowed(match, counts)
        line = @elsewhere.call(match[:name], match[:number].to_i)
        return [missing(match[0].strip, counts)] unless line

        [match[:side] ? Mirror.line(line) : line]
      end

      def missing(text, counts) = Line.new(counts:, notes: [text], faults: [Line::Fault.new(:not_found, nil, text)])
    end
  end
end
