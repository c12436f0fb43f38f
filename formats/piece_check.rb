# frozen_string_literal: true

module Formats
  # piece-check-1: a piece, walked and joined (docs/formats/piece-check-1.schema.json).
  module PieceCheck
    NAME = "piece-check-1"

    # Core::Piece::Check (and the joins and lines of its work) => JSON text.
    def self.render(check, review: Core::Joins::Review.new(check.work, danced: check.danced), lines: Core::Floor::LineChecks.new(check.work, danced: check.danced))
      JSON.generate(Writer.new(check, review, lines).to_h)
    end
  end
end

require_relative "piece_check/writer"
