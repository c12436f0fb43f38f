# frozen_string_literal: true

module Core
  module Planning
    # Whom prices read otherwise than others: how many minutes somebody waits with patience, where that is not as usual;
    # who comes from afar to teach, who is there anyway, who is under twelve (ids); who comes and goes together:
    # [[id, id], …].
    class PriceList < Values::Value.of(
      patience: {}.freeze, guests: [].freeze, home: [].freeze, small: [].freeze, siblings: [].freeze
    )
      # By age bands: {id => band or nil}.
      def self.of(bands, **more)
        new(
          patience: bands.transform_values { |band| Price::PATIENCE[band] }.compact,
          small: bands.select { |_, band| %w[under_8 8_11].include?(band) }.keys, **more
        )
      end
    end
  end
end
