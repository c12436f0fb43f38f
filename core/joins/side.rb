# frozen_string_literal: true

module Core
  module Joins
    # One side of a seam: the last eight of the leaving link, or the first of the entering one, as danced there, and the
    # body at that edge. place: Piece::PlacedLink.
    class Side
      include Typed

      attr_reader :place, :line, :body, :row

      # The two sides of a join. danced: Piece::Danced.
      def self.leaving(place, danced)
        walk = danced.walk(place.link)
        size = place.link.danced.size
        new(place, danced, walk.exit, row: size, from: walk.after(size - 1), edge: :exit, doubts: walk.doubts)
      end

      # The side that begins a link. place: Piece::PlacedLink; danced: Piece::Danced.
      def self.entering(place, danced)
        new(place, danced, danced.walk(place.link).entry, row: 1, from: nil, edge: :entry)
      end

      # danced: Piece::Danced; from: the body before the leaving eight; line: as tried instead of the written one.
      def initialize(place, danced, body, row:, from:, edge:, line: danced.line(place.link, row), doubts: {})
        @doubts = doubts
        @place = place
        @danced = danced
        @body = body
        @row = row
        @from = from
        @edge = edge
        @line = line
      end

      # Whether it is danced on the other side.
      def mirrored? = place.link.mirrored

      # The Piece::Section danced.
      def section = place.section

      # The Movement::Vocabulary the section is written in.
      def vocabulary = @danced.words(section)

      # Whether words nobody knows never change the feet in this piece.
      def steady? = @danced.steady?

      # The Movement::Reader of the section.
      def reader = @danced.reader(section)

      # Whether any of its eights has moves.
      def written? = plain.any? { |line| line.moves.any? }

      # Whether its eight here says anything (a remark, a name or a cue does not), or somebody stated the body.
      def says? = stated.any? || (!line.nil? && [line.moves, line.entry, line.exit].any?(&:any?))

      # The Piece::Row at this edge as danced, or nil.
      def typed_row = place.link.danced[row - 1]&.row

      # What is stated of the body at this edge of the section.
      def stated = section.public_send(@edge)

      # Counts after the last move (leaving) or before the first (entering). A written hold fills its counts; silent,
      # empty and free counts do not.
      def free_counts = @free_counts ||= @edge == :exit ? after_last : before_first

      # Counts by which the last move goes on past its line, or (entering) by which the first comes early; twelfths.
      def spill
        return 0 unless line

        ends = placed.map { |move| @edge == :exit ? said_end(move) - line.length : -move.at }
        [ends.max || 0, 0].max
      end

      # Groups that the eights say begin later: {name => counts}.
      def later = plain.map(&:offsets).reduce({}, :merge)

      # Moves that fill counts, on the last (or first) line, in order of time.
      def placed = @placed ||= filling(line)

      # Moves of the first two counts (entering), in order; those without a count belong to what stands before them.
      def opening
        @opening ||= (line ? line.moves : []).take_while { |move| move.at.nil? || move.at < 24 }
          .reject { |move| move.at.nil? && later?(move) }
      end

      # Whether anything danced at the start rests on where the body is: the feet at work, a turn, a way.
      def depends?
        opening.any? do |move|
          move.kind == :step && (move.layer == :feet || move.turn != 0 || move.facing || move.travel)
        end
      end

      # Whether a foot is used at the start.
      def first_foot? = opening.any? { |move| move.kind == :step && move.layer == :feet }

      # The first of the moves at the start that nobody knows, where nothing known comes before it; else nil.
      def unknown
        first = opening.find { |move| move.layer == :feet && %i[step unknown free].include?(move.kind) }
        first if first&.kind == :unknown
      end

      # What put a value of the body in doubt at this edge: Movement::Walk::Doubt, or nil.
      def doubt(name) = @doubts[name]

      # The same side with another line, or with another body: to try a mend.
      def trying(line: nil, body: nil, place: nil)
        Side.new(
          place || @place,
          @danced,
          body || (line ? body_of(line) : @body),
          row:,
          from: @from,
          edge: @edge,
          line: line || @line,
          doubts: body || line ? {} : @doubts
        )
      end

      # More counts of silence on this side.
      def trying_more(counts) = clone.tap { |side| side.instance_variable_set(:@free_counts, free_counts + counts) }

      # The same side danced on the other side.
      def turned_over
        line = @line && Movement::Mirror.line(@line)
        turned = place.with(link: place.link.with(mirrored: !mirrored?))
        Side.new(turned, @danced, Movement::Mirror.state(body), row:, from: @from, edge: @edge, line:, doubts: @doubts)
      end

      private

      # The whole link, its side undone: which counts are filled is the same on either side.
      def plain = @plain ||= @danced.plain_lines(place.link)

      # When a move is done; one without a length lasts to the next count.
      def done(move) = move.length ? move.end_at : ((move.at / 12) + 1) * 12

      # A length that nobody said goes past nothing.
      def said_end(move) = move.usual ? move.at + 12 : done(move)

      # A move without a count after one that ended later than the first two counts.
      def later?(move)
        before = line.moves.take(line.moves.index(move)).select(&:at)
        before.any? { |each| done(each) > 24 }
      end

      # Moves without a count are no free time.
      def loose?(line) = line.loose.any? { |move| %i[step unknown free].include?(move.kind) }

      def filling(line)
        line ? line.placed.select { |move| %i[step hold unknown].include?(move.kind) }.sort_by(&:at) : []
      end

      def after_last
        free = 0
        [@line, *plain[0...-1].reverse].compact.each do |line|
          last = filling(line).map { |move| done(move) }.max
          break if loose?(line)

          free += last ? [line.length - last, 0].max : line.length
          break if last
        end
        free/12r
      end

      # Whether a move without a count stands before the first that has one.
      def loose_before?(line, first)
        line.moves.index { |move| move.at.nil? } <= line.moves.index { |move| move.at == first }.to_i
      end

      def before_first
        free = 0
        [@line, *plain.drop(1)].compact.each do |line|
          first = filling(line).first&.at
          break if loose?(line) && loose_before?(line, first)

          free += first ? [first, 0].max : line.length
          break if first
        end
        free/12r
      end

      # The body at this edge if the line were another; what is stated of the edge still holds.
      def body_of(line)
        stated = section.public_send(@edge)
        stated = Piece::Danced.turned(stated) if mirrored?
        if @edge == :entry
          return Movement::Walk.new(
            [line, *@danced.link_lines(place.link).drop(1)],
            entry: stated, vocabulary:, steady: @danced.steady?
          ).entry
        end

        Movement::Walk.new([line], from: @from, exit: stated, vocabulary:, steady: @danced.steady?).exit
      end
    end
  end
end
