# frozen_string_literal: true

module Core
  module Piece
    # An eight that differs only from a count on: "from 7 turn half R 8 clap" stands for what was taught up to there and
    # the new words from there, so that nobody types the eight again.
    #
    #   Partial.from("from 7: jump")  # => 7
    module Partial
      FROM = /\A\s*from\s+(?:count\s+)?(?<count>\d{1,2})(?!\s*(?:to|-|–)\s*\d)\b/i
      private_constant :FROM

      module_function

      # The count from which a text differs, or nil.
      def from(text) = FROM.match(text)&.[](:count)&.to_i

      # taught, changed: Movement::Line; count: as called on the line => the line that is danced.
      def line(taught, changed, count)
        at = (count - taught.called) * Movement::Move::TWELFTHS
        before = taught.moves.take_while { |move| move.at && move.at < at }
        changed.with(moves: before + changed.moves, entry: taught.entry, called: taught.called)
      end
    end
  end
end
