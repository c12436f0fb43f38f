# frozen_string_literal: true

module Records
  module Mapping
    # Formation and spot rows <-> Core::Floor.
    module Floors
      Floor = Core::Floor
      private_constant :Floor

      module_function

      # Core::Floor::Stage of a piece.
      def stage(piece, order)
        rows = piece.formations.includes(:spots).group_by(&:link_id)
        Floor::Stage.new(
          order,
          rows.transform_values { |same| same.to_h { |row| [[row.moment.to_sym, row.count], formation(row)] } }
        )
      end

      def formation(row) = Floor::Formation.new(spots: row.spots.to_h { |spot| [spot.person_id, spot(spot)] })
      def spot(row) = Floor::Spot.new(x: row.x.to_f, y: row.y.to_f, facing: row.facing, pinned: row.pinned)

      # Writes a formation's spots in place of those it had.
      def write(row, formation)
        row.spots.delete_all
        Spot.add_all(
          formation.spots.map do |person, spot|
            {
              studio_id: row.studio_id,
              formation_id: row.id,
              person_id: person,
              x: spot.x,
              y: spot.y,
              facing: spot.facing,
              pinned: spot.pinned
            }
          end
        )
        row.spots.reset
      end
    end
  end
end
