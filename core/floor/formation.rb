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
      # A wheelchair: how wide it is, and the circle in which it turns on the spot (the usual planning figures); metres.
      CHAIR = 0.7
      TURNING = 1.5

      # Whether nobody stands anywhere yet.
      def empty? = spots.empty?

      # Ids of those who have a spot.
      def people = spots.keys

      # Everybody on the other side.
      def mirrored = with(spots: spots.transform_values(&:mirrored))

      # Pairs that stand closer than `least` metres, or where one sits in a wheelchair (its id in wheels) closer than it
      # needs to turn: [[person, person, metres], …], closest first.
      def tight(least = SPACING, wheels: [])
        people.combination(2).filter_map do |a, b|
          wanted = [a, b].intersect?(wheels) ? [least, TURNING].max : least
          metres = spots[a].distance(spots[b])
          [a, b, metres] if metres < wanted - 0.005
        end.sort_by(&:last)
      end

      # People outside a floor of width × depth metres; a wheelchair is on it with both its wheels.
      def off(width, depth, wheels: [])
        spots.reject do |person, spot|
          edge = wheels.include?(person) ? CHAIR / 2 : 0
          spot.x.abs <= (width / 2.0) - edge && spot.y.between?(edge, depth - edge)
        end.keys
      end

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
