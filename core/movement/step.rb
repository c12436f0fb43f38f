# frozen_string_literal: true

module Core
  module Movement
    # A known step of the vocabulary and what it does to the body.
    # weights: where the weight goes, placement by placement, as :lead, :other, :both, :seated, :floor, :air, :left or
    # :right (empty: it stays). foot: :free when the named foot must be free to do it (a kick), :standing when it is
    # danced on it (a hop), :put when it is set down somewhere, with or without the weight, :rise when the body gets up.
    # turn: eighths to the side it is danced to. level: level after it; needs: level before it. layer: what moves.
    # hands: :take or :drop, what it does with what is named after it (or with `holds`, where the step names it).
    # wheels: of a wheelchair, :rolling, :braked or :free of its brakes after it.
    # open: it belongs to the part of the body that is named with it (up, roll, cross); each: danced once on every count
    # said (walk, march); doubts: what nobody knows after it (:weight, :facing, :level).
    class Step < Values::Value.of(
      :name, aliases: [].freeze, weights: [].freeze, foot: nil, counts: 1, turn: 0, level: nil,
             needs: nil, layer: :feet, hazards: [].freeze, kind: :step, swing: [].freeze, travel: nil,
             hands: nil, holds: nil, wheels: nil, open: false, each: false, doubts: [].freeze
    )
      KINDS = %i[step hold silent free].freeze

      # One row of a style's table.
      def self.of(name, *aliases, **facts) = new(name:, aliases:, **facts)

      # Whether the feet do something.
      def foot? = layer == :feet && kind == :step && (weights.any? || !foot.nil?)

      # Whether the body goes somewhere else by it.
      def moves? = weights.any? || !level.nil?

      # Offsets of its placements in twelfths of a count when only its first count was said.
      def offsets
        return swing unless swing.empty?

        Array.new(weights.size) { |i| (i * counts * 12) / [weights.size, 1].max }
      end
    end
  end
end
