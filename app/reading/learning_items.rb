# frozen_string_literal: true

module App
  module Reading
    # What there is to learn in a piece and who has to, from its rows.
    module LearningItems
      # without: id of somebody who would dance no more.
      def self.of(piece, work = Records::Mapping::Works.load(piece), without: nil)
        Core::Learning::Items.new(work, cast: Records::Mapping::Works.cast(piece).except(without))
      end
    end
  end
end
