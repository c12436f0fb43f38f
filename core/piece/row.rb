# frozen_string_literal: true

module Core
  module Piece
    # An eight: one line of counts (usually 8, but any line may differ) with what is danced on it as typed.
    # held: [[from, to], …], counts on which nothing of it is danced, by a group that holds while the others dance on.
    class Row < Values::Value.of(:counts, text: "", cue: "", name: "", held: [].freeze)
      MAX = 64

      private

      def settle
        return if counts.is_a?(Integer) && counts.between?(1, MAX)

        raise ValueError.new("counts", "must be a whole number from 1 to #{MAX}, got #{counts.inspect}")
      end
    end
  end
end
