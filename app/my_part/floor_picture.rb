# frozen_string_literal: true

module App
  module MyPart
    # The floor from above as a dancer sees it on a phone: their own spot, the others in grey, the audience below.
    class FloorPicture
      WIDTH = 320
      EDGE = 10

      # spots: {person => Core::Floor::Spot}; floor: {"width", "depth"} in metres.
      def initialize(spots, person, floor)
        @spots = spots
        @person = person
        @floor = floor
      end

      def svg
        others = @spots.except(@person).values.map { |spot| dot(spot, 4, "others") }
        inner = edge + others.join + dot(@spots.fetch(@person), 8, "mine")
        Shared::Drawing.drawing(WIDTH, height, inner, label: I18n.t("my_part.floor"), class: "my-floor")
      end

      private

      def scale = (WIDTH - (2 * EDGE)) / @floor["width"].to_f
      def height = (@floor["depth"].to_f * scale).round + (2 * EDGE)

      def edge
        Shared::Drawing.tag(:rect, x: EDGE, y: EDGE, width: WIDTH - (2 * EDGE), height: height - (2 * EDGE),
                                   class: "edge")
      end

      # The audience sits below: what is far from it is drawn higher.
      def dot(spot, radius, css)
        cx = (WIDTH / 2.0) + (spot.x * scale)
        cy = height - EDGE - (spot.y * scale)
        Shared::Drawing.tag(:circle, cx:, cy:, r: radius, class: css)
      end
    end
  end
end
