# frozen_string_literal: true

module App
  module Programs
    module Answers
      # The pieces that are being made.
      class Pieces
        def initialize(studio, _now) = @studio = studio

        def rows
          @studio.pieces.running.order(:id).map do |piece|
            snapshot = Reading::PieceSnapshots.of(piece)
            order = snapshot.work.order
            { id: piece.id, title: piece.title, show_date: piece.show_date&.iso8601, counts: order.total_counts,
              seconds: order.length_seconds.round(2), links: order.links.size, learned_percent: snapshot.percent }
          end
        end
      end
    end
  end
end
