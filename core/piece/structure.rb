# frozen_string_literal: true

module Core
  module Piece
    # What lines of a list say. sections: [StructureReader::Sketch] in order of first mention; links:
    # [StructureReader::SketchLink] in the piece's order; findings: [StructureReader::Finding]; waiting:
    # [[number, text], …] of lines that nothing is made of before somebody says what they mean; remarks:
    # [[number, text], …] of lines that are no links; accounts: {line number => StructureReader::Account}; people:
    # [Listing::Staff::Person] said to teach; facts: {title:, bpm:, date:, length:} as said; expected: counts that a
    # row of totals claims, or nil.
    Structure = Struct.new(
      :sections, :links, :findings, :waiting, :remarks, :accounts, :people, :facts, :expected, keyword_init: true
    ) do
      # Counts of all links, or nil where some are not known.
      def total_counts
        return if waiting.any? || links.any? { |link| counts(link).nil? }

        least_counts
      end

      # Counts of the links whose length is known.
      def least_counts = links.sum { |link| counts(link) || 0 }

      # Counts that have to be taught: every section once, unless it is known.
      def new_counts = sections.reject(&:known).sum { |section| section.rows.sum }

      # Counts of a link, or nil.
      def counts(link) = sections[link.section].counts(link.only)
    end
  end
end
