# frozen_string_literal: true

module Core
  module Planning
    # Why something does not fit. type: :away (from one ISO date to another), :missed_days (the windows), :none_left (no
    # rehearsal is), :room, :choreographer, :dancer, :precedence, :clique or :none_found; who: ids or nil; need, have:
    # in `unit` (:minutes, :people or :rehearsals); tasks, windows: what fits only where; long: it is one block for
    # which nobody has time enough at once; proven: a relaxation shows that no plan can do it.
    class Reason < Values::Value.of(:type, who: nil, need: 0, have: 0, tasks: [].freeze, windows: [].freeze,
                                           unit: :minutes, long: false, proven: true,
                                           from: nil, to: nil)
      # How much is missing, in the reason's unit.
      def short = [need - have, 0].max
    end
  end
end
