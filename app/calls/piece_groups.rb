# frozen_string_literal: true

module App
  module Calls
    # The groups that dance a section: those of its parts, or all of the piece.
    module PieceGroups
      def self.of(piece, section)
        ids = Reading::PieceSnapshots.of(piece).work.sections.find { |each| each.id == section.id }&.groups.to_a
        ids.empty? ? piece.groups.to_a : piece.groups.select { |group| ids.include?(group.id) }
      end
    end
  end
end
