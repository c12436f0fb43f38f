# frozen_string_literal: true

module Formats
  # piece-check-1: a piece, walked and joined (docs/formats/piece-check-1.schema.json).
  module PieceCheck
    NAME = "piece-check-1"

    # Core::Piece::Check (and the joins and lines of its work) => JSON text. say: a callable (key, **values) => text.
    def self.render(check, say:, review: Core::Joins::Review.new(check.work, danced: check.danced),
                    lines: Core::Floor::LineChecks.new(check.work, danced: check.danced))
      JSON.generate(Writer.new(check, review, lines, say:).to_h)
    end
  end
end

require_relative "piece_check/writer"
