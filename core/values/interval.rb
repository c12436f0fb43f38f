# frozen_string_literal: true

module Core
  module Values
    # A half-open span [from, to) of whole units: minutes of a day, counts of a piece.
    #
    #   Interval.new(600, 660).length                         # => 60
    #   Interval.new(0, 8).overlaps?(Interval.new(8, 16))     # => false
    class Interval
      include Comparable

      attr_reader :from, :to

      def initialize(from, to)
        raise ValueError.new("interval", "ends before it starts (#{from} to #{to})") if to < from

        @from = from
        @to = to
        freeze
      end

      def length = to - from
      def empty? = from == to
      def overlaps?(other) = from < other.to && other.from < to
      def cover?(other) = from <= other.from && other.to <= to

      # The span both have, or nil.
      def &(other)
        low = [from, other.from].max
        high = [to, other.to].min
        Interval.new(low, high) if low < high
      end

      # What is left of this span without the other: none, one or two spans, in order.
      def -(other)
        return [self] unless overlaps?(other)

        [[from, other.from], [other.to, to]].filter_map { |low, high| Interval.new(low, high) if low < high }
      end

      def <=>(other) = other.is_a?(Interval) ? [from, to] <=> [other.from, other.to] : nil
      def eql?(other) = self == other
      def hash = [from, to].hash
    end
  end
end
