# frozen_string_literal: true

module App
  module Learning
    module Pages
      # One cell on a page of its own, for those who come without scripts.
      class Cell < Reading::PiecePage
        attr_reader :cell

        def initialize(cell:, **rest)
          super(**rest)
          @cell = cell
        end

        def screen = :who_has_it
        def kinds = Core::Learning::Entry::BY_HAND
      end
    end
  end
end
