# frozen_string_literal: true

module App
  module Reading
    # What a plan is made from, with nothing changed. Root of what a director tries in What if (Planning::Changes).
    class AsItIs
      # The school it is built by, where it is another; else nil.
      def school = nil

      # Core::Piece::Work as it would be.
      def work(work) = work

      # What of the season would be otherwise (see Records::Mapping::SeasonChange).
      def season = {}

      # Settings and dates of the piece that would be others: {attribute => value}.
      def facts = {}

      # Id of somebody who dances no more, or nil.
      def leaving = nil

      # The piece as it would be; never to be saved.
      def piece(piece)
        return piece if facts.empty?

        piece.studio.pieces.find(piece.id).tap do |changed|
          changed.assign_attributes(facts)
          changed.readonly!
        end
      end
    end
  end
end
