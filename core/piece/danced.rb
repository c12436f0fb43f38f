# frozen_string_literal: true

module Core
  module Piece
    # What is danced: every section's eights read once, every link's lines with its changes and on its side, and
    # the walk along them. Links that dance the same thing share one walk.
    class Danced
      # A stated edge as it is on the other side.
      def self.turned(stated)
        stated.to_h do |name, value|
          [name, name == :facing ? Movement::Mirror.facing(value) : Movement::Mirror.other(value)]
        end
      end

      attr_reader :vocabulary

      def initialize(work, vocabulary: Movement::Vocabulary::DEFAULT)
        @work = work
        @vocabulary = vocabulary
        @sections = work.sections.to_h { |section| [Movement::Vocabulary.fold(section.name), section] }
        @lines = {}
        @links = {}
        @readers = {}
        @altered = {}
        @walks = {}
      end

      # Movement::Vocabulary in which a section is written: its teacher's.
      def words(section) = @vocabulary.of(section.choreographer)

      # Whether words nobody knows leave the feet alone.
      def steady? = @work.checking.steady

      # [Movement::Line] of a section, one for each of its eights.
      def lines(section) = @lines[section.id] ||= read(section, section.rows)

      # What to take care of in a section: what was ticked, and what its steps are.
      def hazards(section)
        read = lines(section).flat_map(&:moves).filter_map { |move| move.step && words(section).find(move.step) }
        section.hazards | read.flat_map(&:hazards)
      end

      # The same of the whole piece.
      def all_hazards = @work.sections.flat_map { |section| hazards(section) }.uniq

      # The eights of the section with a name; none where there is no such section.
      def rows_named(name) = name ? @sections[Movement::Vocabulary.fold(name)]&.rows.to_a : []

      # [Movement::Line] of a link as danced.
      def link_lines(link)
        return plain_lines(link) unless link.mirrored

        @links[key(link)] ||= plain_lines(link).map { |line| Movement::Mirror.line(line) }
      end

      # The same, its side undone.
      def plain_lines(link)
        if link.altered?
          @altered[[link.section.id, link.changes]] ||= altered(link)
        else
          lines(link.section)
        end
      end

      # One line of a link as danced, by its number from 1.
      def line(link, number)
        plain = plain_lines(link)[number - 1]
        plain && link.mirrored ? Movement::Mirror.line(plain) : plain
      end

      # Movement::Walk along a link, from its stated entry.
      def walk(link)
        @walks[key(link)] ||= if link.mirrored
                                Movement::MirroredWalk.new(walk(link.with(mirrored: false)))
                              else
                                walked(link)
                              end
      end

      # Walk along a section as taught.
      def section_walk(section) = walk(Link.new(section:))

      # Where repeats of one section part: [Movement::Fork], each altered or edited link against the first plain one.
      def forks
        @work.order.links
          .group_by { |placed| placed.section.id }
          .values
          .flat_map { |same| same.drop(1).filter_map { |later| fork(same.first, later) } }
      end

      # Reads movement text as this section does; what it read once it knows.
      def reader(section)
        @readers[section.id] ||= Movement::Reader.new(
          vocabulary: words(section),
          feel: section.feel.to_sym,
          names: @work.groups.map(&:last),
          elsewhere: ->(name, number) { elsewhere(section, name, number) }
        )
      end

      private

      def walked(link)
        Movement::Walk.new(
          plain_lines(link),
          entry: link.section.entry,
          exit: link.section.exit,
          vocabulary: words(link.section),
          steady: steady?
        )
      end

      # The eights of a link with changes; one that differs "from 7" on begins as it was taught.
      def altered(link)
        read(link.section, link.danced.map(&:row)).zip(link.danced).map do |line, danced|
          count = danced.changed && danced.origin && Partial.from(danced.row.text)
          count ? Partial.line(lines(link.section)[danced.origin - 1], line, count) : line
        end
      end

      def key(link) = [link.section.id, link.mirrored, link.changes]

      def read(section, rows)
        reader(section)
          .section(rows.map { |row| [row.text, row.counts] })
          .zip(rows)
          .map { |found, row| one(found, row) }
      end

      # A row is one eight: what its text says beyond that is a fault, and cues written beside it are added.
      def one(found, row)
        line = held(found.first, row)
        line = line.with(faults: [*line.faults, Movement::Line::Fault.new(:no_such_count, nil, "//")]) if found.size > 1
        row.cue == "" ? line : line.with(cues: [*line.cues, [row.cue, 0]])
      end

      # Without what lies in counts that are held; a move without a count may lie there.
      def held(line, row)
        return line if row.held.empty?

        moves = line.moves.reject { |move| move.at && row.held.any? { |from, to| held?(move, from, to) } }
        moves = moves.map { |move| move.at ? move : move.with(doubts: move.doubts | [:weight]) }
        line.with(moves: [*moves, *row.held.map { |from, to| hold(from, to) }].sort_by { |move| move.at || 0 })
      end

      def hold(from, to)
        Movement::Move.new(text: "hold", step: "hold", kind: :hold, at: (from - 1) * 12, length: (to - from + 1) * 12)
      end

      def held?(move, from, to) = ((move.at / 12) + 1).between?(from, to)

      def elsewhere(asking, name, number)
        other = @sections[Movement::Vocabulary.fold(name)]
        if other.nil? || other.id == asking.id || other.rows.any? { |row| row.text.match?(Movement::Reader::BORROWED) }
          return
        end

        lines(other)[number - 1] if number.positive?
      end

      def fork(first, later)
        return unless first.link.altered? || later.link.altered?

        Movement::Fork.between(
          plain_lines(first.link),
          plain_lines(later.link),
          section: first.section.id,
          links: [first.index, later.index]
        )
      end
    end
  end
end
