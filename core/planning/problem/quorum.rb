# frozen_string_literal: true

module Core
  module Planning
    # The share of its dancers with which learning goes ahead; the others are caught up before what waits for it.
    #
    #   Quorum.new(0.8).without(%w[a b c d e], "b" => 3)  # => ["b"]
    class Quorum < Values::Value.of(share: 0.8)
      # What catching up takes of the first teaching.
      CATCHING_UP = 0.6

      # How many of so many people may be missing.
      def may_miss(count) = (count * (1 - share)).round(6).floor

      # Of some people those who are left out, as far as so many may miss it: the most away first.
      # away: {who => how much they are away}; whoever is not in it is there.
      def without(people, away) = (people & away.keys).max_by(may_miss(people.size)) { |who| away[who] }
    end
  end
end
