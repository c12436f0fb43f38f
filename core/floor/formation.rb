# frozen_string_literal: true

module Core
  module Floor
    # One dancer's place: metres from the middle of the floor (x; the audience's right is positive) and from its front
    # edge (y, away from the audience); facing 1 to 8; pinned: an assignment leaves them there.
    class Spot < Values::Value.of(:x, :y, facing: 1, pinned: false)
      # Metres between two spots.
      def distance(other) = Math.hypot(x - other.x, y - other.y)

      # The spot on the other side: across the middle line, facing turned with it.
      def mirrored = with(x: -x, facing: Movement::Mirror.facing(facing))

      # The spot at other metres, to the centimetre.
      def moved(x, y) = with(x: x.round(2), y: y.round(2))
    end

    # Where everybody stands at one moment: spots {person => Spot}.
    class Formation < Values::Value.of(spots: {}.freeze)
      # Comfortable distance between two dancers, and with arms out; metres.
      SPACING = 1.2
      ARMS_OUT = 1.5
      # Two heads in one line of sight, sideways; metres.
      HIDDEN = 0.3

      # Whether nobody stands anywhere yet.
      def empty? = spots.empty?

      # Ids of those who have a spot.
      def people = spots.keys

      # Everybody on the other side.
      def mirrored = with(spots: spots.transform_values(&:mirrored))

      # Pairs that stand closer than `least` metres: [[person, person, metres], …], closest first.
      def tight(least = SPACING)
        people.combination(2)
          .filter_map { |a, b| (metres = spots[a].distance(spots[b])) < least - 0.005 ? [a, b, metres] : nil }
          .sort_by(&:last)
      end

      # People outside a floor of width × depth metres.
      def off(width, depth) = spots.reject { |_, spot| spot.x.abs <= width / 2.0 && spot.y.between?(0, depth) }.keys

      # Who cannot be seen from the front: [[hidden, behind whom], …].
      def hidden
        covered = people.permutation(2).select { |behind, front| covers?(spots[front], spots[behind]) }
        covered.group_by(&:first)
          .map { |behind, pairs| [behind, pairs.map(&:last).max_by { |front| spots[front].y }] }
      end

      private

      def covers?(front, behind) = (behind.x - front.x).abs < HIDDEN && behind.y > front.y
    end
  end
end
