# frozen_string_literal: true

module Core
  module Movement
    # One eight as read. counts: its length; called: the number said on its first count; entry, exit: what its text
    # states of its beginning and its end ({weight: :left}); notes: words that are no movement; cues: [[text, at], …];
    # faults: [Fault].
    # heard: words that were read into something else than the text of a move.
    # groups: GroupWords::Said, what it says of groups, or nil; meet: the count on which all meet again, as typed.
    class Line < Values::Value.of(
      :counts, moves: [].freeze, called: 1, entry: {}.freeze, exit: {}.freeze, notes: [].freeze, cues: [].freeze,
               faults: [].freeze, versions: [].freeze, heard: [].freeze,
               groups: nil, meet: nil, feel: :even
    )
      Fault = Struct.new(:kind, :count, :text)

      # Groups that begin later: {name => counts}.
      def offsets = groups ? groups.later.except(nil).compact : {}

      # What stands on it as words, and as nothing else: [text].
      def kept = [*moves.select { |move| move.kind == :unknown }.map(&:text), *notes].uniq

      def length = counts * Move::TWELFTHS
      def placed = moves.select(&:at)
      def loose = moves.reject(&:at)

      def same?(other)
        other && counts == other.counts && moves.size == other.moves.size &&
          moves.zip(other.moves).all? { |a, b| a.same?(b) }
      end
    end
  end
end
