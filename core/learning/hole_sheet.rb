# frozen_string_literal: true

module Core
  module Learning
    # For whoever is out: link by link, where the holes are, how those beside would close up, who could cover, which
    # group has lost its leader; and which of the coming slots have lost their point.
    class HoleSheet
      # missing: [person]; moves: [[person, Spot, Spot], …] when closing up; covers: [[person, rung], …], best
      # first; leaderless: [[group, counts after the start], …].
      Place = Struct.new(:placed, :missing, :spots, :moves, :covers, :leaderless, keyword_init: true)
      # In one row: metres from front to back.
      ROW = 0.6
      MOST_COVERS = 3

      # items: Items; progress: Progress; leaders: {group => person};
      # formations: {link index => Floor::Formation} as the link begins.
      def initialize(work, out:, items:, progress:, leaders: {}, formations: {})
        @work = work
        @out = out
        @items = items
        @progress = progress
        @leaders = leaders
        @formations = formations
      end

      # [Place] of every link that somebody is missing from.
      def places = @work.order.links.filter_map { |placed| place(placed) }

      # Of slots ([[id, dancers, teachers], …]) the ids of those with nobody left to teach, or nobody to teach them.
      def pointless(slots)
        slots
          .select do |_, dancers, teachers|
            (dancers.any? && (dancers - @out).empty?) || (teachers.any? && (teachers - @out).empty?)
          end
          .map(&:first)
      end

      private

      def place(placed)
        missing = @items.in_link(placed.index) & @out
        return if missing.empty?

        formation = @formations[placed.index] || Floor::Formation.new
        Place.new(
          placed:,
          missing:,
          spots: formation.spots.slice(*missing),
          moves: closing(formation, missing),
          covers: covers(placed, missing),
          leaderless: leaderless(placed)
        )
      end

      # Each hole is filled from outside: the next in the row steps into it, the one after takes that place.
      def closing(formation, missing)
        here = formation.spots.except(*@out)
        missing
          .filter_map { |person| formation.spots[person] }
          .sort_by { |spot| -spot.x.abs }
          .flat_map { |hole| fill(hole, here) }
      end

      def fill(hole, here)
        outer =
          here
            .select { |_, spot| (spot.y - hole.y).abs <= ROW && beyond?(spot, hole) }
            .sort_by { |_, spot| (spot.x - hole.x).abs }
        outer.map do |person, spot|
          move = [person, spot, hole]
          here[person] = spot.moved(hole.x, hole.y)
          hole = spot
          move
        end
      end

      def beyond?(spot, hole) = hole.x.negative? ? spot.x < hole.x : spot.x > hole.x

      # Dancers who are here, not busy in this link, and furthest with it.
      def covers(placed, _missing)
        item = @items.of_link(placed.index)
        free = @items.everybody - @items.in_link(placed.index) - @out
        free
          .map { |person| [person, @progress.rung(person, item.key)] }
          .select { |_, rung| rung.positive? }
          .max_by(MOST_COVERS) { |_, rung| rung }
      end

      def leaderless(placed)
        placed.section.parts
          .select { |part| @out.include?(@leaders[part.group]) }
          .map { |part| [part.group, part.offset] }
      end
    end
  end
end
