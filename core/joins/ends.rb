# frozen_string_literal: true

module Core
  module Joins
    # The opening and the ending, held like joins: the opening's pose against the first entry, the last exit against the
    # final picture. opening, ending: what is stated of the body there ({facing: 5, level: :floor}); held: counts of the
    # final picture.
    class Ends
      RULES = [Rules::Weight, Rules::Facing, Rules::Level, Rules::Place].freeze

      def initialize(work, opening: {}, ending: {}, held: 4, vocabulary: Movement::Vocabulary::DEFAULT)
        @work = work
        @opening = opening
        @ending = ending
        @held = held
        @vocabulary = vocabulary
      end

      # [Finding]; mends are those of the piece's own side.
      def opening = @opening.empty? || links.empty? ? [] : findings(still(:exit, @opening), links.first.link, 1)

      # [Finding] of the last link into the final picture; none where nothing is said of it.
      def ending
        @ending.empty? || links.empty? ? [] : findings(links.last.link, still(:entry, @ending), links.size, own: 1)
      end

      private

      def links = @work.order.links

      def still(edge, stated)
        section =
          Piece::Section.new(
            :id => edge,
            :name => edge == :exit ? "Opening" : "Ending",
            :rows => [Piece::Row.new(counts: @held.clamp(1, 64), text: "1-#{@held.clamp(2, 64)} hold")],
            edge => stated
          )
        Piece::Link.new(section:)
      end

      # A piece of two links, one of them standing still; own: which of them is danced.
      def findings(leaving, entering, index, own: 2)
        work =
          Piece::Work.new(
            title: "",
            sections: [leaving.section, entering.section],
            links: [leaving, entering],
            track: @work.track
          )
        join = Sequence.new(work.order).joins.first
        found =
          Examination.new(
            Seam.of(join, Piece::Danced.new(work, vocabulary: @vocabulary)),
            vocabulary: @vocabulary,
            rules: RULES
          ).findings
        found.map do |finding|
          finding.with(mends: finding.mends.select { |mend| mend.link == own }.map { |mend| mend.with(link: index) })
        end
      end
    end
  end
end
