# frozen_string_literal: true

module Core
  module Floor
    # Formations of a whole piece. A repeat without formations of its own takes those of the first link of its section,
    # turned over when it is on the other side; a link ends where it was last seen.
    class Stage
      Seen = Struct.new(:formation, :own, keyword_init: true)
      NONE = Seen.new(formation: Formation.new, own: false).freeze

      # order: Piece::RunningOrder; formations: {link id => {[moment, count] => Formation}}, moment :entry, :exit or
      # :count.
      def initialize(order, formations)
        @links = order.links
        @formations = formations
      end

      # Seen at a moment of a link (by index); own is false when it comes from another link, formation may be empty.
      def at(index, moment, count = nil)
        placed = @links[index - 1]
        own = of(placed)[[moment, count]]
        return Seen.new(formation: own, own: true) if own

        first = first_of(placed)
        lent = first && of(first)[[moment, count]]
        lent ? Seen.new(formation: turned(lent, first, placed), own: false) : NONE
      end

      # Moments of a link in order of time: [[:entry, nil], [:count, 9], …, [:exit, nil]], only what is known.
      def moments(index)
        placed = @links[index - 1]
        keys = of(placed).keys | (first_of(placed)&.then { |first| of(first).keys } || [])
        keys.sort_by { |moment, count| [%i[entry count exit].index(moment), count.to_i] }
      end

      # Where a link leaves everybody, and where it needs them.
      def leaving(index) = (last = moments(index).last) ? at(index, *last).formation : Formation.new

      # The formation in which a link (by index from 1) begins.
      def entering(index) = at(index, :entry).formation

      # {index of the leaving link => metres of the longest way over its join}, where both sides are known.
      def metres
        @metres ||= (1...@links.size).to_h { |index| [index, way(index)] }.compact
      end

      private

      def way(index)
        from = leaving(index)
        to = entering(index + 1)
        Ways.new(from, to, counts: 0).longest if from.people.intersect?(to.people)
      end

      def of(placed) = @formations.fetch(placed.link.id, {})
      def first_of(placed) = @links.find { |other| other.section.id == placed.section.id && other.index < placed.index }

      def turned(formation, first, placed)
        first.link.mirrored == placed.link.mirrored ? formation : formation.mirrored
      end
    end
  end
end
