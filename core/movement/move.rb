# frozen_string_literal: true

module Core
  module Movement
    # One move as read: where it lies on its line and what is known of it. Positions and lengths are twelfths of a count
    # from the line's first count; at is nil while its count is not set.
    # kind: :step, :hold, :silent, :free, :state (only said of the body) or :unknown; side: :left, :right or nil; feet:
    # a foot for each placement, where they were all said; hands: what they hold after it ("" nothing, nil as before);
    # said, range: the positions as typed, and whether as "5-6"; turn: eighths, to the right positive, nil when a turn
    # was said without how far; weight: where it leaves the weight, as said (:keep where it stays), whatever its step
    # does; doubts: what nobody knows after it; usual: its length is only the usual one of its step.
    class Move < Values::Value.of(
      :text, step: nil, kind: :unknown, at: nil, length: nil, places: [].freeze, side: nil,
             feet: [].freeze, turn: 0, facing: nil, level: nil, travel: nil, layer: :feet,
             choice: [].freeze, said: [].freeze, range: false, hands: nil, weight: nil,
             doubts: [].freeze, usual: false
    )
      TWELFTHS = 12

      def end_at = at && (at + (length || TWELFTHS))

      # Count on its line, from 1, fractional: 1.5 for the "and" after one.
      def count = at && ((at / TWELFTHS.to_f) + 1).round(3)

      # Same movement, whatever it was typed like.
      def same?(other) = meaning == other.meaning

      def meaning
        [
          kind == :unknown ? Vocabulary.fold(text) : step,
          kind,
          at,
          length,
          side,
          feet,
          turn,
          facing,
          level,
          travel,
          choice,
          hands,
          weight
        ]
      end
    end
  end
end
