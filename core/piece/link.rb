# frozen_string_literal: true

module Core
  module Piece
    # One place in the running order where a section is danced: as taught, mirrored or altered.
    class Link < Values::Value.of(:section, id: nil, mirrored: false, changes: Changes::NONE)
      def altered? = !changes.plain?
      def name = section.name

      # The eights as danced here: Changes::Danced in order.
      def danced = changes.apply(section.rows)

      def counts
        own = danced.sum { |d| d.row.counts }
        section.parts.map { |part| part.length(own) }.max || own
      end

      def beats = counts * section.beats_per_count
    end
  end
end
