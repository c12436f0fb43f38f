# frozen_string_literal: true

module App
  module Reading
    # What there is to learn in a piece and who has to, from its rows.
    module LearningItems
      def self.of(piece, work = Records::Mapping::Works.load(piece))
        Core::Learning::Items.new(work, cast: Records::Mapping::Works.cast(piece))
      end
    end
  end
end
