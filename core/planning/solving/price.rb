# frozen_string_literal: true

module Core
  module Planning
    # What counts against a plan beside waiting and coming at all, in person-minutes (docs/decisions/planner.md).
    module Price
      # A minute of group work for each who misses it: more than coming for it would cost, and than waiting.
      MISSED = 2
    end
  end
end
