# frozen_string_literal: true

module Core
  module Planning
    # Who warms up again when: whoever was idle for a while within a rehearsal does so just before going on.
    #
    #   ReWarms.new(idle: 20, minutes: 5).of("ada" => [[0, 30], [60, 90]])  # => [[55, ["ada"]]]
    class ReWarms
      def initialize(idle:, minutes:) = @warmth = Warmth.new(idle:, again: minutes)

      # spans: {who => [[from, to], …] at work, in minutes}. [[start, [who, …]], …] in order of time.
      def of(spans)
        spans
          .flat_map { |who, own| starts(own).map { |start| [start, who] } }
          .group_by(&:first)
          .sort
          .map { |start, pairs| [start, pairs.map(&:last)] }
      end

      private

      def starts(own) = @warmth.cold_starts(own).map { |from| from - @warmth.again }
    end
  end
end
