# frozen_string_literal: true

module Core
  module Music
    # A tempo from taps: the gaps between them, those far from the middle one dropped (a beat missed, a tap too many).
    # spread: how unsteady the kept gaps are, as a share of the beat (standard deviation ÷ mean).
    #
    #   Taps.new([0, 500, 1000, 1500, 2500, 3000, 3500, 4000]).bpm  # => 120.0
    class Taps
      LEAST = 8
      FAR = 0.25
      attr_reader :kept, :dropped

      # times: milliseconds, in the order tapped. Raises ValueError for fewer than eight, or when they go backwards.
      def initialize(times)
        raise ValueError.new("taps", "needs at least #{LEAST}, got #{times.size}") if times.size < LEAST

        gaps = times.each_cons(2).map { |a, b| b - a }
        raise ValueError.new("taps", "must go forward in time") unless gaps.all?(&:positive?)

        middle = gaps.sort[gaps.size / 2]
        @kept, @dropped = gaps.partition { |gap| (gap - middle).abs <= FAR * middle }
      end

      # Beats a minute, to a tenth.
      def bpm = (60_000.0 / mean).round(1)

      # How uneven the taps are: standard deviation of the gaps over their mean, so 0 is a metronome.
      def spread = Math.sqrt(kept.sum { |gap| (gap - mean)**2 } / kept.size) / mean

      private

      def mean = kept.sum / kept.size.to_f
    end
  end
end
