# frozen_string_literal: true

module App
  module Planning
    module Pages
      # How the rehearsals of the build share the width of the page: as wide as fits; where they are many, the page
      # gives the build its whole width, and what is behind us is folded narrow.
      class BuildColumns
        SIDE = 150
        BESIDE = 848
        WHOLE = 1218
        LEAST = 30
        FOLDED = 9
        # The narrowest in which a slot can still be told and taken hold of.
        NARROW = 24
        MOST = 90
        private_constant :BESIDE, :WHOLE, :LEAST, :FOLDED, :NARROW, :MOST

        # Whether so many rehearsals need the whole width.
        def self.wide?(count) = count * LEAST > BESIDE - SIDE

        # all: how many columns; past: how many of them lie behind us.
        def initialize(all, past)
          @all = all
          @past = past
          @wide = BuildColumns.wide?(all)
        end

        # Left edge and width of a column, by its place from 0.
        def x(index) = SIDE + ([index, folded].min * FOLDED) + ([index - folded, 0].max * step)
        def width(index) = index < folded ? FOLDED : step
        def folded?(index) = index < folded
        def whole = x(@all)

        private

        # The last one behind us stays open.
        def folded = @wide ? [@past - 1, 0].max : 0

        def step
          room = (@wide ? WHOLE : BESIDE) - SIDE - (folded * FOLDED)
          @step ||= (room / [@all - folded, 1].max.to_f).clamp(@wide ? NARROW : LEAST, MOST)
        end
      end
    end
  end
end
