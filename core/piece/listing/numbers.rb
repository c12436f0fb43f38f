# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Numbers that stand without "eights" or "counts": what is 12 or more is counts, and so is an 8; a smaller
      # one is
      # counts too in a list that writes its lengths so, else it has to be asked.
      class Numbers
        CLEAR = 12
        EIGHT = 8
        private_constant :CLEAR, :EIGHT

        # seen: bare numbers of the list.
        def initialize(seen) = @seen = seen

        def unclear?(number)
          number < CLEAR && number != EIGHT && @seen.none? { |other| other >= CLEAR }
        end
      end
    end
  end
end
