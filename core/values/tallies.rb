# frozen_string_literal: true

module Core
  module Values
    # A number for each member of a set, all counted at once: bit k of everybody's number is one whole number (a
    # bit-sliced counter), so that adding to a hundred people costs as much as adding to one.
    #
    #   t = Tallies.new(0b011); t.add(0b011, 5); t.add(0b001, 2); t.over(5)  # => 0b001
    class Tallies
      # people: the set of all who are counted, each from nought.
      def initialize(people)
        @people = people
        @planes = []
      end

      # Adds a whole number to every member of a set.
      def add(set, amount)
        place = 0
        while amount.positive?
          carry(set, place) if amount.odd?
          amount >>= 1
          place += 1
        end
      end

      # The set of those whose number is greater than one that is given.
      def over(limit)
        return @people if limit.negative?

        greater = 0
        equal = -1
        [@planes.size, limit.bit_length].max.pred.downto(0) do |place|
          plane = @planes[place] || 0
          greater |= equal & plane if limit[place].zero?
          equal &= limit[place].zero? ? ~plane : plane
        end
        greater & @people
      end

      private

      def carry(set, place)
        set &= @people
        until set.zero?
          plane = @planes[place] || 0
          @planes.fill(0, @planes.size..place)
          @planes[place] = plane ^ set
          set &= plane
          place += 1
        end
      end
    end
  end
end
