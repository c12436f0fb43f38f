# frozen_string_literal: true

module App
  module People
    module Erasing
      # What was agreed of joins rests on the words typed at their edges. Where a name goes out of those words, the
      # agreements that held before are set on the words as they are now, so that nobody is told a join changed.
      class AgreedEdges
        SIDES = %i[leaving entering].freeze

        def initialize(studio)
          @studio = studio
        end

        # Runs the block and answers what it does.
        def kept
          held = pieces.to_h { |piece| [piece, holding(piece)] }
          done = yield
          held.each { |piece, rows| restate(piece, rows) if rows.any? }
          done
        end

        private

        def pieces = @studio.pieces.where(id: @studio.agreements.where(kind: "agreed").select(:piece_id))

        # [[agreement, side], …] of the edges that are as they were agreed.
        def holding(piece)
          edges = edges(piece)
          agreements(piece).product(SIDES).select do |row, side|
            edges[row.join_key]&.public_send(side) == row["#{side}_digest"]
          end
        end

        def restate(piece, rows)
          edges = edges(piece)
          rows.each do |row, side|
            now = edges[row.join_key]&.public_send(side)
            next if now.nil? || now == row["#{side}_digest"]

            @studio.agreements.where(id: row.id).update_all("#{side}_digest" => now)
          end
        end

        def agreements(piece) = @studio.agreements.where(piece_id: piece.id, kind: "agreed").to_a

        def edges(piece)
          work = Records::Mapping::Works.load(@studio.pieces.find(piece.id))
          review = Core::Joins::Review.new(work, vocabulary: piece.studio.vocabulary)
          review.joins.to_h { |held| [held.join.key, Core::Joins::Agreement.of(held.seam)] }
        rescue Core::Error
          {}
        end
      end
    end
  end
end
