# frozen_string_literal: true

require "did_you_mean"

module Core
  module Piece
    # Reads a piece's structure from lines as a director types them:
    #
    #   Overwinter, 6 eights, Odalys
    #   Waggle Line, 5 eights + 4, Mirela
    #   Waggle Line again, other side
    #   Waggle Line again, with changes in 4-5
    #
    # Nothing is refused: what is not understood becomes a finding with its line, and the rest still counts.
    # Answers a Structure: sections (in order of first mention), links (each with the section's position),
    # findings. teachers and sections: names already known, to match spelling against.
    class StructureReader
      MAX_LINES = 300
      MAX_NAME = 60
      MAX_PERSON = 80
      TOGETHER = /\s*(?:&|\+)\s*|\s+(?:and|with)\s+/i
      HELPING = /\s+(?:helping|assisting|too)\z/i
      SEVERAL = /[&+]|\bwith\b|\band\b/
      private_constant :TOGETHER, :HELPING, :SEVERAL
      # teacher: its owner; others: who teaches it too; known: it is there already.
      Sketch = Struct.new(:name, :rows, :teacher, :others, :known, :line, keyword_init: true)
      SketchLink = Struct.new(:section, :mirrored, :changed, :line, keyword_init: true)
      # ways: how an unclear line may have been meant, each as it would be typed.
      Finding = Struct.new(:line, :kind, :subject, :hint, :ways, keyword_init: true)
      # waiting: [[number, text], …] of lines that nothing is made of before somebody says what they mean.
      Structure = Struct.new(:sections, :links, :findings, :waiting, keyword_init: true) do
        # Counts of all links.
        def total_counts = links.sum { |link| sections[link.section].rows.sum }

        # Counts that have to be taught: every section once, unless it is known.
        def new_counts = sections.reject(&:known).sum { |section| section.rows.sum }
      end

      def initialize(text, teachers: [], lengths: {})
        @lines = text.to_s.scrub("?").lines.map(&:strip)
        @teachers = teachers.to_h { |name| [fold(name), name] }
        @lengths = lengths.transform_keys { |name| fold(name) }
        @sections = []
        @links = []
        @findings = []
        @waiting = []
      end

      # The Structure that the lines say, with [Finding] of what is not understood (its line, what to do).
      def structure
        filled = @lines.each_with_index.reject { |line, _| line.empty? }
        note(filled[MAX_LINES].last + 1, :too_many_lines, MAX_LINES) if filled.size > MAX_LINES
        filled.first(MAX_LINES).each { |line, i| read(StructureLine.new(i + 1, line)) }
        Structure.new(sections: @sections, links: @links, findings: @findings, waiting: @waiting)
      end

      private

      def read(line)
        return wait(line, :no_name, line.text) if line.name.empty?
        return wait(line, :long_name, MAX_NAME) if line.name.length > MAX_NAME

        line = line.without_then
        unclear = unclear(line)
        return wait(line, unclear.kind, unclear.subject, ways: unclear.ways) if unclear

        at = @sections.index { |section| fold(section.name) == fold(line.name) }
        at ? check_repeat(line, @sections[at]) : at = add(line)
        @links << link(line, at) if at && !line.unplaced?
      end

      def unclear(line)
        lasts = @sections.to_h { |section| [section.name.downcase, section.rows.size] }
        UnclearLine.of(
          line, sections: [*@sections.map(&:name), *@lengths.keys], teachers: @teachers.values.compact, lasts:
        )
      end

      # Notes what is unclear; the line waits.
      def wait(line, kind, subject, hint: nil, ways: [])
        @waiting << [line.number, line.text]
        @findings << Finding.new(line: line.number, kind:, subject:, hint:, ways:)
        nil
      end

      def add(line)
        return note_unknown(line) if line.again? && line.rows.nil? && !@lengths.key?(fold(line.name))

        rows = line.rows || @lengths[fold(line.name)] || []
        note(line.number, :no_length, line.name) if rows.empty?
        @sections << Sketch.new(
          name: line.name,
          rows: check_rows(line, rows),
          teacher: (taught = teachers(line)).first,
          others: taught.drop(1),
          known: line.known?,
          line: line.number
        )
        @sections.size - 1
      end

      def check_rows(line, rows)
        return rows if rows.size <= LengthText::MOST && rows.all? { |counts| counts.between?(1, Row::MAX) }

        note(line.number, :odd_length, line.name)
        rows.first(LengthText::MOST).map { |counts| counts.clamp(1, Row::MAX) }
      end

      def check_repeat(line, section)
        if line.rows && line.rows != section.rows
          note(line.number, :other_length, section.name, LengthText.render(section.rows))
        end
        taught = teachers(line)
        section.others = taught.drop(1) if section.teacher.nil?
        section.teacher ||= taught.first
        return unless line.teacher && section.teacher && fold(taught.first) != fold(section.teacher)

        note(line.number, :two_teachers, section.name, section.teacher)
      end

      def link(line, at)
        changed = (line.changed || []).grep(1..@sections[at].rows.size)
        lost = (line.changed || []) - changed
        note(line.number, :no_such_eight, lost.first, @sections[at].rows.size) if lost.any?
        note(line.number, :which_eights, line.name) if line.changed && line.changed.empty?
        SketchLink.new(section: at, mirrored: line.mirrored?, changed: changed.uniq.sort, line: line.number)
      end

      # Names of who teaches a line's section, its owner first: "Jo & Mel" are two, unless somebody is called so.
      def teachers(line)
        said = line.teacher or return []
        return [@teachers[fold(said)]] if @teachers.key?(fold(said))

        names = said.sub(HELPING, "").split(TOGETHER).map(&:strip).reject(&:empty?)
        names.filter_map { |name| teacher(line, name) }.uniq
      end

      def teacher(line, name)
        return note(line.number, :long_teacher, MAX_PERSON) if name.length > MAX_PERSON

        known = @teachers[fold(name)] || by_first_name(name)
        note(line.number, :new_teacher, name, suggestion(name, @teachers.values)) unless known
        @teachers[fold(name)] = name unless known
        known || name
      end

      def by_first_name(name)
        found = @teachers.values.select { |full| fold(full.split.first.to_s) == fold(name) && !full.match?(SEVERAL) }
        found.first if found.size == 1
      end

      def note_unknown(line)
        hint = suggestion(line.name, @sections.map(&:name))
        wait(line, :unknown_repeat, line.name, hint:, ways: hint ? [[hint, *line.parts].join(", ")] : [])
      end

      def suggestion(name, among) = DidYouMean::SpellChecker.new(dictionary: among).correct(name).first

      # Notes a finding; answers nil, which is what a line has that cannot be taken.
      def note(line, kind, subject, hint = nil)
        @findings << Finding.new(line:, kind:, subject:, hint:)
        nil
      end

      def fold(name) = name.to_s.unicode_normalize(:nfkc).downcase.gsub(/\s+/, " ").strip
    end
  end
end
