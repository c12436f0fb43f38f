# frozen_string_literal: true

module Core
  module Joins
    # One side of a join: the section as danced where it ends (or starts). Two edges with the same key have the
    # same steps. An altered link has an edge of its own only when the change touches its last (or first) eight.
    class Edge < Values::Value.of(:section_id, :mirrored, :own)
      # The end of a Piece::PlacedLink.
      def self.leaving(link) = at(link, link.section.rows.size, link.danced.last)

      # Its beginning.
      def self.entering(link) = at(link, 1, link.danced.first)

      # number: of the section's eight at this edge, from 1; danced: what is danced there, nil where nothing is.
      def self.at(link, number, danced)
        touched = danced.nil? || danced.changed || danced.origin != number
        new(
          section_id: link.section.id,
          mirrored: link.mirrored,
          own: (link.id || steps(link) if link.altered? && touched)
        )
      end

      # Of a link that nobody gave a number: what is danced there.
      def self.steps(link)
        Digest::SHA256.hexdigest(link.danced.map { |each| [each.row.counts, each.row.text].join(":") }.join("\n"))[0, 8]
      end
      private_class_method :at, :steps

      # The edge's part of a join's key: equal edges, equal keys (docs/decisions/join_identity.md).
      def key = "#{section_id}#{'m' if mirrored}#{"x#{own}" if own}"
    end
  end
end
