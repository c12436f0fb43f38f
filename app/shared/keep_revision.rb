# frozen_string_literal: true

module App
  module Shared
    # Keeps the whole piece as it is now, as the next revision.
    class KeepRevision
      def initialize(piece, account)
        @piece = piece
        @account = account
      end

      # work: the piece as it is now, where it was read already.
      def record(summary, work: Records::Mapping::Works.load(@piece.studio.pieces.find(@piece.id)))
        number = (@piece.revisions.maximum(:number) || 0) + 1
        @piece.revisions.create!(
          studio_id: @piece.studio_id,
          number:,
          account: @account,
          summary: summary[0, 200],
          work: Formats::Piece::Writer.new(work).to_h,
          created_at: Clock.now
        )
      end
    end
  end
end
