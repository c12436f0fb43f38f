# frozen_string_literal: true

module App
  module Spacing
    # Spots as a page sends them: [{"p" => id, "x" => metres, "y" => metres, "f" => facing, "pin" => true}, …]. Only
    # dancers of the cast; places within ten metres of the floor.
    class SentSpots
      def initialize(piece, data)
        @cast = piece.castings.pluck(:person_id).to_set
        @data = data
      end

      def formation
        spots = Array(@data).first(500).filter_map { |each| spot(each) if each.is_a?(Hash) }
        Core::Floor::Formation.new(spots: spots.to_h)
      end

      private

      # Whatever a script sends, as a number; 0 for what is none.
      def whole(value) = value.to_s.to_i

      def spot(each)
        x, y = each.values_at("x", "y").map { |value| Float(value.to_s, exception: false) }
        return unless @cast.include?(whole(each["p"])) && x&.between?(-30, 30) && y&.between?(-10, 40)

        [
          whole(each["p"]),
          Core::Floor::Spot.new(
            x: x.round(2),
            y: y.round(2),
            facing: whole(each["f"]).clamp(1, 8),
            pinned: each["pin"] == true
          )
        ]
      end
    end
  end
end
