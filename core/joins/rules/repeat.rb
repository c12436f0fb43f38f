# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # The same two sections meet elsewhere too, with another end or beginning: what is rehearsed there is not this.
      class Repeat < Rule
        # Where else these sections meet otherwise, as a caution; nil where they do not.
        def finding
          return if seam.others.empty?

          found(:repeat, :caution, number(leaving), number(entering), facts: { others: seam.others })
        end

        private

        def number(side) = Movement::Known.derived(side.place.index)
      end
    end
  end
end
