# frozen_string_literal: true

module Core
  module Joins
    class Side
      # What was typed at an edge: that, and nothing read from it, is what an agreement is about.
      module Typed
        # The eight at this edge as typed, with all it points to: [[counts, text], …]; case and spaces do not matter.
        def typed
          own = place.link.danced.map(&:row)
          here = own[row - 1] or return []
          pointed = Movement::Reader.points_back?(here.text) ? own.first(row - 1) : begun_as_taught
          [here, *pointed, *@danced.rows_named(Movement::Reader.names(here.text))]
            .map { |each| [each.counts, each.text.downcase.split.join(" ")] }
        end

        private

        # The eight as taught, where the one danced here differs only from a count on.
        def begun_as_taught
          danced = place.link.danced[row - 1]
          partly = danced.changed && danced.origin && Piece::Partial.from(danced.row.text)
          partly ? [section.rows[danced.origin - 1]] : []
        end
      end
    end
  end
end
