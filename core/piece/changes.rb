# frozen_string_literal: true

module Core
  module Piece
    # How an altered link differs from its section: eights replaced, dropped, added. Numbers are the
    # section's own eights, from 1. replace: {4 => Row}, drop: [2], insert_after: {3 => [Row]}.
    class Changes < Values::Value.of(replace: {}.freeze, drop: [].freeze, insert_after: {}.freeze)
      NONE = new.freeze

      # One eight as danced. origin: its number in the section, nil for an added one; changed: differs from it.
      Danced = Struct.new(:row, :origin, :changed)

      # Whether nothing is changed.
      def plain? = replace.empty? && drop.empty? && insert_after.empty?

      # The eights as danced, in order.
      def apply(rows)
        added(0) + rows.each_with_index.flat_map { |row, i| [*kept(row, i + 1), *added(i + 1)] }
      end

      # The section's eights that are touched, in order: [4, 5].
      def touched = (replace.keys + drop + insert_after.keys).uniq.sort

      private

      def kept(row, number)
        return [] if drop.include?(number)

        [Danced.new(replace.fetch(number, row), number, replace.key?(number))]
      end

      def added(number) = insert_after.fetch(number, []).map { |row| Danced.new(row, nil, true) }
    end
  end
end
