# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Puts dancers of a group (or everybody in the link) into a pattern at a place; the others stay where they are.
      # Those who stood somewhere go to the spot that is nearest for all.
      class MakeFormation
        def initialize(page, params)
          @page = page
          @params = params
        end

        def formation
          people = chosen
          points =
            Core::Floor::Patterns.points(
              pattern,
              people.size,
              spacing: number("spacing", 0.6, 4.0) || Core::Floor::Formation::SPACING,
              per_line: number("per_line", 1, 40)&.to_i
            )
          spots =
            points.map { |x, y| [x + (number("x", -15, 15) || 0.0), y + (number("y", 0, 20) || (@page.depth / 2.0))] }
          @page.formation.with(spots: { **@page.formation.spots, **placed(people, spots) })
        end

        private

        def chosen
          group = @page.piece.groups.find { |each| each.id.to_s == @params["group"].to_s }
          dancers = @page.dancers
          group ? dancers & group.group_members.pluck(:person_id) : dancers
        end

        def pattern = Core::Floor::Patterns::NAMES.find { |name| name == @params["pattern"] } || "lines"

        def placed(people, spots)
          came =
            people.to_h do |person|
              [person, (@page.before.spots[person] || @page.formation.spots[person])&.then { |spot| [spot.x, spot.y] }]
            end
          order = came.values.all? ? Core::Floor::Assignment.new(came, spots).best : people.each_with_index.to_h
          people.to_h do |person|
            [
              person,
              Core::Floor::Spot.new(x: spots[order[person]][0].round(2), y: spots[order[person]][1].round(2), facing:)
            ]
          end
        end

        def facing = @params["facing"].to_i.clamp(1, 8)

        def number(name, from, to)
          Float(@params[name].to_s, exception: false)&.then { |value| value if value.between?(from, to) }
        end
      end
    end
  end
end
