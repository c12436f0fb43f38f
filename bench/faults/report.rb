# frozen_string_literal: true

module Bench
  module Faults
    # What a trial found, as a table.
    class Report
      # times: {what was killed => [seconds until it answered again]}; counts: {kind => [acknowledged, lost, twice or
      # out of order]}; sent: {what was killed => [seconds until two tablets had sent what they had kept]}.
      def initialize(times, counts, sent: {})
        @times = times
        @counts = counts
        @sent = sent
      end

      def fine? = @counts.values.all? { |acknowledged, lost, twice| acknowledged.positive? && (lost + twice).zero? }

      def text
        [
          "| killed with -9 | times | answers again after, s | tablets have sent all after, s |",
          "|---|---|---|---|",
          *@times.map { |what, seconds| "| #{what} | #{seconds.size} | #{span(seconds)} | #{span(@sent[what])} |" },
          "",
          "| sent meanwhile | acknowledged | lost | stored twice, or out of order |",
          "|---|---|---|---|",
          *@counts.map { |kind, counts| "| #{kind} | #{counts.join(' | ')} |" }
        ].join("\n")
      end

      private

      def span(seconds) = seconds.minmax.map { |each| format("%.1f", each) }.uniq.join(" to ")
    end
  end
end
