# frozen_string_literal: true

module Core
  module Piece
    # A link with its place in the piece: index from 1, start_count and start_beat from 1.
    class PlacedLink < Values::Value.of(:index, :link, :start_count, :start_beat, :start_seconds, :seconds,
                                        occurrence: 1, occurrences: 1)
      # Its section's name.
      def name = link.name

      # The same, with which time it is where it is danced several times: "Comb, 2 of 3".
      def said = occurrences > 1 ? "#{name}, #{occurrence} of #{occurrences}" : name

      # The Section it dances.
      def section = link.section

      # Counts as danced, changes included.
      def counts = link.counts

      # The count of the piece (from 1) on which it ends.
      def end_count = start_count + counts - 1

      # :first, :same, :mirrored or :altered: what its echo mark says.
      def echo
        return :altered if link.altered?
        return :mirrored if link.mirrored

        occurrence > 1 ? :same : :first
      end
    end
  end
end
