# frozen_string_literal: true

module Core
  module Planning
    # Why something does not fit, in minutes and names. type: :room, :choreographer, :dancer, :precedence,
    # :clique or :none_found; who: an id or nil; need, have, short: minutes (people, for a room too small).
    class Reason < Values::Value.of(:type, who: nil, need: 0, have: 0, tasks: [].freeze, windows: [].freeze)
      def short = [need - have, 0].max
    end
  end
end
