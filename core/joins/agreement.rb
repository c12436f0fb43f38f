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
      VERSION = "3"

      # The edges of a seam as they are now. seam: Seam.
      def self.of(seam) = new(leaving: digest(seam.leaving), entering: digest(seam.entering))

      # side: Side => "3:" and 24 hexadecimal digits, the same whatever the locale of the process.
      def self.digest(side) = "#{VERSION}:#{Digest::SHA256.hexdigest(plain(edge(side)))[0, 24]}"

      # What is typed and stated of a side: texts and whole numbers, in lists.
      def self.edge(side)
        parts = side.section.parts.map do |part|
          [part.group, part.offset, part.hold_before, part.hold_after, part.mirrored].map(&:to_s)
        end
        [side.section.id.to_s, side.mirrored?.to_s, side.typed, stated(side), parts.sort]
      end

      # Lists in brackets, each text behind its length in bytes of UTF-8, so that no two edges are written the same.
      def self.plain(value)
        return "(#{value.map { |each| plain(each) }.join})" if value.is_a?(Array)

        bytes = value.to_s.encode(Encoding::UTF_8).b
        "#{bytes.bytesize}:".b + bytes
      end
      private_class_method :plain

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
