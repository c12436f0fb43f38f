# frozen_string_literal: true

require "did_you_mean"

module Core
  module Piece
    module Listing
      # What one clause makes: a section and its first link, or a repeat; or it is a remark, or it waits.
      class Taker
        include Repeating
        include Staffing
        include Sentences

        LONG_NAME = 7
        private_constant :LONG_NAME

        # placed: whether sections stand in the order where they are listed; whole: the text of the line, where the
        # clause is all of it, so that it may be a remark; everything: who teaches what nobody else is said to.
        def initialize(line, clause, draft:, staff:, everything:, bare:, placed:, whole:, mention:)
          @line = line
          @clause = clause
          @draft = draft
          @staff = staff
          @everything = everything
          @bare = bare
          @placed = placed
          @whole = whole
          @mention = mention
          @at = line.number
        end

        # Whether it said a link; nothing waits where it did not.
        def take?
          at, = target
          return repeat(at) if at
          return define if @clause.name && (@clause.length || taught.any?) && !too_long?

          false
        end

        def take
          return sentence if only_words?

          at, name = target
          return repeat(at, name) if at
          return saved(name) if name && @draft.saved_name?(name) && as_saved?(name)

          unknown
        end

        private

        # Whether nothing is said of its length, or what the piece has: "Harbour, 2", where it has two eights.
        def as_saved?(name)
          @clause.length.nil? || (@clause.length.bare && @clause.length.bare == @draft.saved(name).size)
        end

        def ask(kind, subject, **more) = Waiting.new(@line, @draft).ask(kind, subject, **more)

        # [position of the section that is repeated, the name it goes by here].
        def target
          name = @clause.of || @clause.name
          return [@draft.links.last&.section, nil] if name.nil? && @clause.echo? && taught.empty?

          at = name && (@draft.at(name) || (@draft.at(name, loose: true) if @clause.echo?))
          at ||= numbered(name) if name && @clause.echo?
          [at, name]
        end

        # "Verse two", where there is a verse.
        def numbered(name)
          match = name.match(/\A(?<name>.+?)\s+(?:\d{1,2}|two|three|four|five|six)\z/i)
          match && @draft.at(match[:name])
        end

        def unknown
          return ask(:no_name, @line.text) if @clause.name.nil?
          return ask(:long_name, StructureReader::MAX_NAME) if @clause.name.length > StructureReader::MAX_NAME
          return unknown_repeat if @clause.echo? && @clause.length.nil? && taught.empty?
          return ask(:talk, @line.text) if too_long?
          return ask(:two_lengths, @line.text) if two_lengths?

          half = half_a_pair
          return half if half
          return ask_bare if ambiguous?

          define
        end

        def too_long? = @clause.name.split.size > LONG_NAME && @clause.name.match?(/\b(?:we|i|they|you|it|is|are)\b/i)

        # "8 counts short of 4 eights"
        def two_lengths?
          @clause.length && (@clause.loose + @clause.placed.map(&:first)).any? { |text| Length.find(text)&.first&.rows }
        end

        def unknown_repeat
          names = @draft.sections.map(&:name)
          hint = DidYouMean::SpellChecker.new(dictionary: names).correct(@clause.name).first
          typed = hint ? [@line.text.sub(/#{Regexp.escape(@clause.name)}/i, hint)] : []
          ask(:unknown_repeat, @clause.name, hint:, typed:)
        end

        # "Pebbles, 4": counts or eights?
        def ambiguous? = @clause.length&.bare && Numbers.new(@bare).unclear?(@clause.length.bare)

        def ask_bare
          bare = @clause.length.said.strip
          ways = %w[eights counts].map do |unit|
            unit = unit.delete_suffix("s") if @clause.length.bare == 1
            @line.text.sub(/(?<![\p{L}\d])#{Regexp.escape(bare)}(?![\p{L}\d])/, "#{bare} #{unit}")
          end
          ask(:bare_length, bare, typed: ways)
        end

        def saved(name)
          rows = @draft.saved(name)
          at = @draft.define(name:, rows:, line: @at)
          staff(at)
          place(at)
        end

        # A section whose length nobody has said.
        def open
          at = @draft.define(name: @clause.name, line: @at)
          @draft.note(@at, :no_length, @clause.name)
          place(at)
        end

        def define
          length = @clause.length
          rows = length&.rows || (length&.bare && Length.eights(length.bare)) || []
          at = @draft.define(name: @clause.name, rows: check(rows), open: (length&.said if rows.empty?),
                             known: @clause.known?, line: @at)
          @draft.note(@at, :no_length, @clause.name) if rows.empty? && length.nil?
          staff(at)
          place(at)
        end

        def check(rows)
          return rows if rows.size <= LengthText::MOST && rows.all? { |counts| counts.between?(1, Row::MAX) }

          @draft.note(@at, :odd_length, @clause.name)
          rows.first(LengthText::MOST).map { |counts| counts.clamp(1, Row::MAX) }
        end

        # Links of a section that was just defined, as often as it is said.
        def place(at)
          @draft.aside(@at, remarks, at)
          return true if @clause.unplaced? || !@placed

          Array.new(@clause.times) do |i|
            @draft.link(section: at, line: @at, mirrored: mirrored?(i), teachers: i.zero? ? owners(at) : nil)
          end
          true
        end

        def mirrored?(turn)
          @clause.mirrored? || (@clause.last_mirrored? && turn == @clause.times - 1)
        end

        def repeat(at, name = nil)
          section = @draft.sections[at]
          return ask_length(section) if other_length?(section)

          return how_much(section) if (@clause.amount? && @clause.length.nil?) || odd_part?(section)

          called = called(at, name)
          @draft.call(called, at) unless called.empty?
          changes = changes(section)
          only = only(section)
          staff(at)
          @draft.aside(@at, remarks, at)
          Array.new(@clause.times) do |i|
            @draft.link(section: at, line: @at, mirrored: mirrored?(i), called:, changed: changes, only:,
                        altered: !@clause.changed.nil? || !@clause.part.nil?, teachers:)
          end
          true
        end

        # Words that are nothing else, kept.
        def remarks
          others = @clause.placed.reject { |text, shape| shape == :known || @staff.all?(text) }.map(&:first)
          (@clause.remarks + others).reject(&:empty?).uniq
        end
      end
    end
  end
end
