# frozen_string_literal: true

module Bench
  module Faults
    # What a trial found, as a table.
    class Report
      # times: {what was killed => [seconds until it answered again]}; counts: {kind => [acknowledged, lost, twice]}.
      def initialize(times, counts)
        @times = times
        @counts = counts
      end

      def fine? = @counts.values.all? { |acknowledged, lost, twice| acknowledged.positive? && (lost + twice).zero? }

      def text
        [
          "| killed with -9 | times | answers again after, s |",
          "|---|---|---|",
          *@times.map { |what, seconds| "| #{what} | #{seconds.size} | #{span(seconds)} |" },
          "",
          "| sent meanwhile | acknowledged | lost | stored twice |",
          "|---|---|---|---|",
          *@counts.map { |kind, counts| "| #{kind} | #{counts.join(' | ')} |" }
        ].join("\n")
      end

      private

      def span(seconds) = seconds.minmax.map { |each| format("%.1f", each) }.uniq.join(" to ")
    end
  end
end
