# frozen_string_literal: true

require "digest"

module Core
  module Joins
    # What was agreed of a join: the edges as they were then, by digest. An edge is the section, its side, the last or
    # first eight as danced, the body there and what the groups do.
    class Agreement < Values::Value.of(:leaving, :entering)
      # The edges of a seam as they are now.
      def self.of(seam) = new(leaving: digest(seam.leaving), entering: digest(seam.entering))

      def self.digest(side)
        parts =
          side.section.parts.map { |part| [part.group, part.offset, part.hold_before, part.hold_after, part.mirrored] }
        body = side.body.to_h.except(:travel).transform_values(&:value)
        Digest::SHA256.hexdigest(
          [side.section.id, side.mirrored?, side.line&.counts, side.line&.moves&.map(&:meaning), body, parts].inspect
        )[
          0,
          24
        ]
      end
      private_class_method :digest

      # Edges that are not what they were: [], [:leaving], [:entering] or both.
      def changed(seam)
        now = Agreement.of(seam)
        [(:leaving unless now.leaving == leaving), (:entering unless now.entering == entering)].compact
      end
    end
  end
end
