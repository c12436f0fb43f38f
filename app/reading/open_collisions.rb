# frozen_string_literal: true

module App
  module Reading
    # Places where somebody ran into somebody in a run, until it is settled how they pass: a caution wherever that
    # section is danced.
    module OpenCollisions
      module_function

      # [Records::Trouble] of a piece in these sections (ids).
      def of(piece, section_ids)
        links = piece.links.where(section_id: section_ids).ids
        piece.troubles.open_collisions.where(link_id: links).to_a
      end
    end
  end
end
