# frozen_string_literal: true

module Formats
  # piece-1: a whole piece (docs/formats/piece-1.schema.json). Links name their section by id.
  module Piece
    NAME = "piece-1"

    # Text => [Core::Piece::Work, notes]. Raises FaultyFile.
    def self.parse(text) = Reader.new(JsonText.parse(text, format: NAME)).work

    # Core::Piece::Work => JSON text.
    def self.render(work) = JSON.generate(Writer.new(work).to_h)
  end
end

require_relative "piece/reader"
require_relative "piece/writer"
