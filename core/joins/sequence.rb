# frozen_string_literal: true

module Core
  module Joins
    # All joins of a piece in running order, same ones found.
    class Sequence
      attr_reader :joins

      # order: Piece::RunningOrder
      def initialize(order)
        firsts = {}
        @joins = order.links.each_cons(2).map do |leaving, entering|
          join = Join.new(leaving:, entering:)
          join.with(first_index: firsts[join.key] ||= join.index)
        end.freeze
      end

      # Each different join once, at its first place.
      def distinct = joins.reject(&:repeat?)

      # The join after the link with this index, or nil.
      def after(index) = joins[index - 1]
    end
  end
end
