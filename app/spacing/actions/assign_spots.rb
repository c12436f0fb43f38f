# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Gives the spots of a formation anew to those who stand on them, so that the longest way from where they come
      # from is as short as can be; whoever is pinned stays.
      class AssignSpots
        def initialize(before, formation)
          @before = before
          @formation = formation
        end

        def formation
          people = @formation.people & @before.people
          spots = people.map { |person| @formation.spots[person] }
          pinned = people.each_index.select { |i| spots[i].pinned }.to_h { |i| [people[i], i] }
          best =
            Core::Floor::Assignment.new(
              people.to_h { |person| [person, point(@before.spots[person])] },
              spots.map { |spot| point(spot) },
              pinned:
            ).best
          @formation.with(
            spots: {
              **@formation.spots,
              **best.to_h { |person, i| [person, spots[i].with(pinned: pinned.key?(person))] }
            }
          )
        end

        private

        def point(spot) = [spot.x, spot.y]
      end
    end
  end
end
