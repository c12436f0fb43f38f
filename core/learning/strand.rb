# frozen_string_literal: true

module Core
  module Learning
    # What a tick is about beside the item: the part itself (own), on the spots with the groups (ensemble), from behind
    # or facing away (other_side), or somebody else's part (cover). A strand is no higher rung: each has the whole
    # ladder.
    # layer: feet, arms or together, where a section is taught in layers and the ladder is kept for each; else nil.
    # covers: the person whose part it is; given with track "cover" only.
    #
    #   Strand.new(track: "cover", covers: 12)
    class Strand < Values::Value.of(track: "own", layer: nil, covers: nil)
      TRACKS = %w[own ensemble other_side cover].freeze
      LAYERS = %w[feet arms together].freeze
      OWN = new

      # Whether it is the ladder that everything else asks for.
      def own? = self == OWN

      private

      def settle
        refuse("track", track, TRACKS) unless TRACKS.include?(track)
        refuse("layer", layer, LAYERS) unless layer.nil? || LAYERS.include?(layer)
        return if (track == "cover") == !covers.nil?

        raise ValueError.new("covers", "belongs to track cover and to no other, got #{covers.inspect} with #{track}")
      end

      def refuse(field, value, known)
        raise ValueError.new(field, "must be one of #{known.join(', ')}, got #{value.inspect}")
      end
    end
  end
end
