# frozen_string_literal: true

module Core
  module Piece
    # What in a line of structure cannot be taken as it stands, and how it may have been meant: each way is the line as
    # it would be typed (or several lines). Nothing is made of an unclear line before somebody says which.
    #
    #   UnclearLine.of(StructureLine.new(1, "Pebbles, 4"), sections: [], teachers: [])
    #   # => kind :bare_length, ways ["Pebbles, 4 counts", "Pebbles, 4 eights"]
    class UnclearLine
      # kind: what is unclear; subject: the words it is about; ways: [String].
      Unclear = Struct.new(:kind, :subject, :ways, keyword_init: true)

      TIMES = /\A(?<name>.+?)\s*[×x]\s?(?<times>[2-9]|1[0-2])\z/i
      UNITS = "eights?|counts?|cts?|sixe?s|fours|threes|twos|sevens|fives|tens|8s"
      LENGTH = /\A(?<name>.+?)\s+(?<length>\d{1,3}\s*(?:#{UNITS}))\z/i
      ORDINAL = /\A(?:the\s+)?(?:second|third|fourth|fifth|last|2nd|3rd|4th)\s+time\b/i
      DIFFERENT = /differ|change|other\s+end/i
      TALK = /\b(?:we|us|our|i|im|me|you|they|them|both|maybe|perhaps|unsure|not\s+sure|tbc|tba|somebody|someone|
        whoever|ask|think|dunno|idk)\b|\?/ix
      LONG_TALK = 5
      PAIR = /\s(?:&|and|with|\+)\s/i
      private_constant :TIMES, :UNITS, :LENGTH, :ORDINAL, :DIFFERENT, :TALK, :LONG_TALK, :PAIR

      # line: StructureLine; sections: names so far; teachers: names known; lasts: {folded name => number of its last
      # eight} => Unclear, or nil.
      def self.of(line, sections:, teachers:, lasts: {}) = new(line, sections, teachers, lasts).unclear

      def initialize(line, sections, teachers, lasts)
        @line = line
        @sections = sections
        @teachers = teachers
        @lasts = lasts
      end

      # Unclear, or nil.
      def unclear
        times || ordinal || no_comma || bare_length || talk || not_a_person || half_a_pair
      end

      private

      def known?(name) = @sections.any? { |section| section.casecmp?(name) }
      def found(kind, subject, *ways) = Unclear.new(kind:, subject:, ways:)

      # The line with another name or with other parts.
      def typed(name: @line.name, parts: @line.parts) = [name, *parts].join(", ")

      # "Chorus ×3"
      def times
        match = TIMES.match(@line.name) or return
        return if match[:name].strip.empty?

        name = match[:name].strip
        again = ["#{name}, again"] * match[:times].to_i
        again[0] = typed(name:) unless known?(name)
        found(:times, @line.name, again.join("\n"), typed(name:))
      end

      # "third time, different end"
      def ordinal
        return unless @line.name.match?(ORDINAL) && @sections.any?

        name = @sections.last
        changed = "#{name}, again, with changes in #{@lasts.fetch(name.downcase, 1)}"
        ways = ["#{name}, again", changed]
        found(:ordinal, @line.text, *(@line.text.match?(DIFFERENT) ? ways.reverse : ways))
      end

      # "Lighthouse 1 eight"
      def no_comma
        match = LENGTH.match(@line.name)
        return unless match && @line.rows.nil?

        found(:no_comma, @line.name, typed(name: match[:name], parts: [match[:length], *@line.parts]))
      end

      # "Pebbles, 4": counts or eights?
      def bare_length
        bare = @line.bare_length
        return if bare.nil? || known?(@line.name)

        ways = %w[eights counts].map do |unit|
          unit = unit.delete_suffix("s") if bare == "1"
          typed(parts: @line.parts.map { |part| part == bare ? "#{bare} #{unit}" : part })
        end
        found(:bare_length, bare, *(bare.to_i > 12 ? ways.reverse : ways))
      end

      # "both of us": most of a sentence is never a name.
      def talk
        return if @line.rows || @line.again? || known?(@line.name)
        return unless @line.name.match?(TALK) || @line.name.split.size > LONG_TALK

        found(:talk, @line.text)
      end

      # "Smoke, 4 eights, not sure who yet"
      def not_a_person
        said = @line.teacher
        return if said.nil? || @teachers.any? { |name| name.casecmp?(said) }
        return unless said.match?(TALK) || said.split.size > LONG_TALK

        found(:not_a_person, said, typed(parts: @line.parts - [said]))
      end

      # "Jo", where only "Jo & Mel" is known.
      def half_a_pair
        said = @line.teacher
        return if said.nil? || @line.alone? || @teachers.any? { |name| name.casecmp?(said) }

        pair = @teachers.find { |name| name.match?(PAIR) && name.split(PAIR).any? { |one| one.strip.casecmp?(said) } }
        return unless pair

        ways = [pair, "#{said} alone"].map do |name|
          typed(parts: @line.parts.map { |part| part == said ? name : part })
        end
        found(:half_a_pair, said, *ways)
      end
    end
  end
end
