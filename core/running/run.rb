# frozen_string_literal: true

module Core
  module Running
    # A run as it was danced. kind: Kind; day: a Date; stretches: [[from, to], …], counts of the piece danced without
    # a stop, in the order in which they were danced; troubles: [Trouble].
    #
    #   Run.new(id: 1, kind: Kind.of("stumble"), day:, stretches: [[1, 96], [89, 232]], troubles: [])
    class Run < Values::Value.of(:id, :kind, :day, stretches: [].freeze, troubles: [].freeze)
      # Counts of a stretch that it must have of a place to be said to have danced it.
      def danced?(from, to) = stretches.any? { |first, last| first <= from && last >= to }

      # How often it was stopped on the way.
      def stops = [stretches.size - 1, 0].max

      # First and last count that were danced.
      def span = stretches.flatten.minmax

      # Troubles between two counts, both included.
      def troubles_in(from, to) = troubles.select { |trouble| trouble.count >= from && trouble.count < to + 1 }

      # The stretches that a count lies in: [[from, to], …].
      def holding(count) = stretches.select { |first, last| count >= first && count < last + 1 }

      private

      def settle
        wrong = stretches.find { |from, to| from > to }
        raise ValueError.new("stretches", "ends before it begins: #{wrong.inspect}") if wrong

        @troubles = troubles.sort_by { |trouble| [trouble.count, trouble.id.to_s] }.freeze
      end
    end
  end
end
