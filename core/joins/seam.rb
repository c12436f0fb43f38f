# frozen_string_literal: true

module Core
  module Joins
    # A join with all a rule looks at: both sides, the counts between them, tempo, groups. spans: {person => metres}
    # between the spots of a formation at the end of the one and at the start of the other, where both are known.
    class Seam
      attr_reader :leaving, :entering, :bpm, :metres, :others

      # join: Join; danced: Piece::Danced; bpm: beats a minute at the seam; metres: the longest way anybody has, or nil;
      # others: further joins between the same two sections.
      def self.of(join, danced, bpm: 110, metres: nil, others: [])
        new(Side.leaving(join.leaving, danced), Side.entering(join.entering, danced), bpm:, metres:, others:)
      end

      def initialize(leaving, entering, bpm: 110, metres: nil, others: [])
        @leaving = leaving
        @entering = entering
        @bpm = bpm
        @metres = metres
        @others = others
      end

      # Counts after the last leaving move and before the first entering one (Rational), for whoever has fewest.
      def counts = @counts ||= leaving.free_counts + entering.free_counts + spare

      # Whether both sides say something, so that there is anything to compare.
      def written? = leaving.says? && entering.says?

      # Whether words nobody knows never change the feet in this piece.
      def steady? = leaving.steady?

      # Leaves of each group that dances both: {group => counts before the link's end at which it is done}.
      def early
        parts = leaving.section.parts
        own = leaving.place.link.danced.sum { |danced| danced.row.counts }
        parts
          .select { |part| shared.include?(part.group) }
          .to_h { |part| [part.group, leaving.place.counts - part.length(own)] }
      end

      # Groups that dance on both sides; without parts everybody does.
      def shared
        both = [leaving, entering].map { |side| side.section.parts.map(&:group) }
        return both.reduce(:|) if both.any?(&:empty?)

        both.reduce(:&)
      end

      # Whether the entering section has everybody (of those who dance both) begin together.
      def unison? = entering.section.parts.select { |part| shared.include?(part.group) }.map(&:offset).uniq.size < 2

      # The same seam with one side or both otherwise, to try a mend.
      def trying(leaving: @leaving, entering: @entering)
        Seam.new(leaving, entering, bpm:, metres:, others:)
      end

      private

      # What offsets and early ends add, for the group that gains least by them.
      def spare
        parts = entering.section.parts.to_h { |part| [part.group, part.offset - part.hold_before] }
        ends = early
        groups = parts.keys | ends.keys
        groups.map { |group| [parts.fetch(group, 0), 0].max + ends.fetch(group, 0) }.min || 0
      end
    end
  end
end
