# frozen_string_literal: true

require "digest"

module Core
  module Joins
    # What was agreed of a join: the edges as they were then, by digest. An edge is what was typed and stated there: the
    # section, its side, the last or first eight as written here (with the eights it points to), its counts, the stated
    # edge and what the groups do. Nothing that is derived from it takes part, so that no agreement moves when the
    # reader of steps learns.
    #
    #   Agreement.of(seam).changed(seam)  # => []
    class Agreement < Values::Value.of(:leaving, :entering)
      # Stands before a digest made this way.
      VERSION = "2"

      # The edges of a seam as they are now. seam: Seam.
      def self.of(seam) = new(leaving: digest(seam.leaving), entering: digest(seam.entering))

      # side: Side => "2:" and 24 hexadecimal digits.
      def self.digest(side)
        parts = side.section.parts.map do |part|
          [part.group, part.offset, part.hold_before, part.hold_after, part.mirrored].map(&:to_s)
        end
        edge = [side.section.id.to_s, side.mirrored?.to_s, side.typed, stated(side), parts.sort]
        "#{VERSION}:#{Digest::SHA256.hexdigest(edge.inspect)[0, 24]}"
      end

      # What is stated of a side, as text: [[state, value], …] by name.
      def self.stated(side) = side.stated.map { |name, value| [name.to_s, value.to_s] }.sort
      private_class_method :stated

      # Edges that are not what they were: [], [:leaving], [:entering] or both.
      def changed(seam)
        now = Agreement.of(seam)
        [(:leaving unless now.leaving == leaving), (:entering unless now.entering == entering)].compact
      end
    end
  end
end
