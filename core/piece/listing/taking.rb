# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Takes the lines of a list one after the other: what each is, and what it makes.
      class Taking
        include Sequences

        attr_reader :draft, :clauses

        # lines: [[number, text], …]; later: names that sections have anywhere in the list; bare: numbers without a
        # unit that stand in it; bpm: beats a minute, or nil.
        def initialize(lines, staff:, lengths:, later: [], bare: [], bpm: nil)
          numbered = numbered?(lines.map(&:last))
          @lines = lines.map { |number, text| Line.new(number, text, numbered:) }
          @raw = lines.to_h
          @staff = staff
          @draft = Draft.new(lengths)
          @later = later.to_h { |name| [@draft.fold(name), name] }
          @bare = bare
          @clauses = []
          @mentioned = {}
          @bpm = bpm
        end

        def take
          @lines.each { |line| line(line) }
          finish
        end

        # Names that lines of their own say teach.
        def told = @mentioned.values.select(&:last).map(&:first)

        # Who is said to teach in the list: [Staff::Person].
        def people
          @mentioned.values.map { |name, sure| Staff::Person.new(name:, sure:) }
        end

        private

        def line(line)
          return long(line) if line.said.length > StructureReader::MAX_LINE
          return noted(line) if table(line)

          text = typed(line)
          return @draft.remark(line.number, line.text) if fact(line) || remark?(line, text)
          return noted(line) if teacher?(text)

          afterwards(line, text) || top(line, text) || sequence(line, text) || several(line, text)
        end

        # Taken for what it says, and not kept as a remark.
        def noted(line) = @draft.account(line.number).note = line.text

        def remark?(line, text)
          Remark.marked?(line.text) || Remark.marked?(text) || beneath?(line, text) || heading?(text)
        end

        # "1 walk in - 2 eights", "2 reach series - 4 eights"
        def numbered?(texts)
          first = texts.map { |text| text[/\A\s*(\d{1,2})\s+\p{L}/, 1]&.to_i }
          first.compact.size > 2 && first.compact.size * 2 > texts.size && first.compact == [*1..first.compact.size]
        end

        def long(line) = @draft.wait(line.number, line.text, :long_line, StructureReader::MAX_LINE) || true

        # Headings of a table, and its row of totals.
        def table(line)
          raw = @raw[line.number]
          found = Table.of(raw)
          return @table = found if found

          total = Table.total(raw)
          return unless total || (@table && raw.match?(/\A\s*\|?\s*(?:totals?|sum)\b/i))
          return if raw.match?(/\p{L}/) && !raw.match?(/\A[\s|]*(?:grand\s+|in\s+)?(?:totals?|sum|altogether)\b/i)

          @draft.expected = [line.number, total] if total
          true
        end

        def typed(line)
          return line.said unless @table

          @table.row(@raw[line.number]) ? Line.new(line.number, @table.typed(@raw[line.number])).said : line.said
        end

        def fact(line)
          facts = Facts.of(line.said)
          return if facts.empty? || (!facts.keys.intersect?(%i[everything staff]) && lasts?(line))

          facts.delete(:everything)&.then { |names| (@everything = names).each { |name| mention(name, true) } }
          facts.delete(:staff)&.each { |name| mention(name, true) }
          @draft.facts.merge!(facts) { |_, old, _| old }
          true
        end

        # Whether it says a length, apart from how many counts a bar has.
        def lasts?(line) = !Length.find(line.said.sub(/\bbars?\b.*/i, "")).nil?

        # A line that is only whoever teaches what follows.
        def teacher?(text)
          names = Names.split(text.delete_suffix(":"))
          return false unless @staff.all?(text.delete_suffix(":")) && @draft.at(text).nil?

          names.each { |name| mention(name, true) }
          @everything = names
          true
        end

        # What stands further in under a line and says no length is a remark on it.
        def beneath?(line, text)
          @draft.links.any? && @raw[line.number].match?(/\A(?:\t|\s{2,})\s*[-*•·–+o]\s/) &&
            @raw.values.any? { |other| other.match?(/\A\S/) } && Length.find(text).nil? && @draft.at(text).nil?
        end

        def heading?(text)
          Remark.heading?(text) && !lasting?(text) && !text.match?(/\Apart\b.*\d{2}/i) &&
            @draft.sections.none? { |section| @draft.fold(text).start_with?(@draft.fold(section.name)) }
        end

        def lasting?(text)
          !Length.find(text).nil? || text.split(",").drop(1).any? { |part| LengthText.parse(part) }
        end

        def several(line, text)
          said = Line.new(line.number, text).clauses
          done = said.size < 2 || @draft.all_or_nothing { said.all? { |each| takes?(line, each) } }
          clause(line, text, said.first || text) if said.size < 2
          ask(line, :unclear, line.text) unless done
        end

        # Whether a clause of several says a link.
        def takes?(line, text)
          clause = parse(text)
          taker(line, clause).take?
        end

        def clause(line, whole, text)
          clause = parse(text)
          taker(line, clause, whole:).take
        end

        def parse(text)
          Clause.new(text, known: method(:known), taught: ->(name) { @staff.find(name) }).tap do |each|
            @clauses << each
            per_bar(each)
          end
        end

        # "8 bars (4 counts each)"
        def per_bar(clause)
          return unless clause.length&.bars

          said = clause.remarks.filter_map { |text| text[/\b(\d{1,2})\s*(?:counts?|cts|beats?)\s+each\b/i, 1] }.first
          @draft.facts[:bar] ||= said.to_i if said
        end

        def known(said)
          at = @draft.at(said) and return @draft.sections[at].name
          said if @draft.saved_name?(said)
        end

        def taker(line, clause, whole: nil)
          Taker.new(line, clause, draft: @draft, staff: @staff, everything: @everything.to_a, bare: @bare,
                                  placed: @order.nil?, whole:, mention: method(:mention))
        end

        def mention(name, sure)
          key = @draft.fold(@staff.find(name) || name)
          was = @mentioned[key]
          @mentioned[key] = [was ? was.first : (@staff.find(name) || name), sure || was&.last || false]
        end

        def link(at, line) = @draft.link(section: at, line:)
        def ask(line, kind, subject) = Waiting.new(line, @draft).ask(kind, subject)

        def finish
          later_order if @order
          Clock.new(@draft, @lines, @draft.facts[:bpm] || @bpm).fill
          Bars.new(@draft, @lines, @draft.facts[:bar]).fill
          total
        end

        # A row of totals is held against the lines where all their lengths are known.
        def total
          line, counts = @draft.expected
          return unless counts && @draft.waiting.empty?

          lengths = @draft.links.map { |link| @draft.sections[link.section].counts(link.only) }
          return if lengths.any?(&:nil?) || [lengths.sum, lengths.sum.fdiv(8)].include?(counts)

          @draft.note(line, :total_differs, counts, lengths.sum)
        end
      end
    end
  end
end
