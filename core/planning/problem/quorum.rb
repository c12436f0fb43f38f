# frozen_string_literal: true

module Core
  module Planning
    # The share of its dancers with which learning goes ahead; the others are caught up before what waits for it.
    #
    #   Quorum.new(0.8).without(%w[a b c d e], "b" => 3)  # => ["b"]
    class Quorum < Values::Value.of(share: 0.8)
      # What catching up takes of the first teaching.
      CATCHING_UP = 0.6

      # Of so few people all have to come; of a few more, one may be missing.
      PAIR = 2
      FEW = 4

      # How many of so many people may be missing.
      def may_miss(count) = (count * (1 - share)).round(6).floor

      # Who of a task can miss it, as what a Task says: nobody where people hold each other or everybody is wanted; of
      # three or four one; of more the share, and of each group half at the most. groups: [[who, …], …].
      def company(people, groups: [], held: false)
        most = people.size <= FEW ? 1 : may_miss(people.size)
        return {} if held || people.size <= PAIR || share >= 1 || most.zero?

        here = groups.map { |group| group & people }.uniq.select { |group| group.size > 1 && group.size < people.size }
        { may: people, enough: people.size - most,
          groups: here.map { |group| { people: group, enough: (group.size / 2.0).ceil } } }
      end

      # Of some people those who are left out, as far as so many may miss it: the most away first.
      # away: {who => how much they are away}; whoever is not in it is there.
      def without(people, away) = (people & away.keys).max_by(may_miss(people.size)) { |who| away[who] }
    end
  end
end
