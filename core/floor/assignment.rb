# frozen_string_literal: true

module Core
  module Floor
    # Who goes to which spot: the longest way as short as can be, and then the sum of all ways. Distances are whole
    # millimetres. The bottleneck is found by bisection over the distances with augmenting paths; among all assignments
    # that keep it, the least total by the Hungarian method (Kuhn 1955, in the shortest-augmenting-path form).
    #
    #   Assignment.new({ "a" => [0, 0], "b" => [1, 0] }, [[1, 0], [0, 0]]).best  # => { "a" => 1, "b" => 0 }
    class Assignment
      FORBIDDEN = 1 << 40

      # from: {person => [x, y]}; spots: [[x, y], …], at least as many; pinned: {person => index of a spot}.
      # Raises ValueError when there are fewer spots than people, or two are pinned to one spot.
      def initialize(from, spots, pinned: {})
        raise ValueError.new("spots", "needs at least #{from.size}, got #{spots.size}") if spots.size < from.size
        raise ValueError.new("pinned", "two people are pinned to one spot") if pinned.values.uniq.size < pinned.size

        @people = from.keys
        @pinned = pinned
        @ways = from.map { |person, here| spots.each_with_index.map { |spot, i| way(person, here, spot, i) } }
      end

      # {person => index of their spot}.
      def best
        return {} if @people.empty?

        limit = bottleneck
        columns = least_total(@ways.map { |row| row.map { |way| way <= limit ? way : FORBIDDEN } })
        @people.each_with_index.to_h { |person, i| [person, columns[i]] }
      end

      private

      def way(person, here, spot, index)
        wanted = @pinned[person]
        return FORBIDDEN if (wanted && wanted != index) || (wanted.nil? && @pinned.value?(index))

        (Math.hypot(spot[0] - here[0], spot[1] - here[1]) * 1000).round
      end

      # The least longest way with which everybody finds a spot.
      def bottleneck
        ways = @ways.flatten.reject { |way| way >= FORBIDDEN }.uniq.sort
        ways.bsearch { |limit| all_placed?(limit) }
      end

      def all_placed?(limit)
        taken = {}
        @people.each_index.all? { |person| seat(person, limit, taken, {}) }
      end

      # An augmenting path from a person; taken: {spot => person}.
      def seat(person, limit, taken, seen)
        @ways[person].each_with_index do |way, spot|
          next if way > limit || seen[spot]

          seen[spot] = true
          next if taken.key?(spot) && !seat(taken[spot], limit, taken, seen)

          taken[spot] = person
          return true
        end
        false
      end

      # Column of each row, the sum least. Potentials over rows and columns; one shortest augmenting path a row.
      def least_total(costs)
        @costs = costs
        @rows = Array.new(costs.size + 1, 0)
        @columns = Array.new(costs.first.size + 1, 0)
        @owner = Array.new(costs.first.size + 1, 0)
        (1..costs.size).each { |row| augment(row) }
        @owner.each_with_index.drop(1)
          .select { |row, _| row.positive? }
          .to_h { |row, column| [row - 1, column - 1] }
          .sort
          .map(&:last)
      end

      def augment(row)
        @owner[0] = row
        width = @columns.size
        least = Array.new(width, FORBIDDEN * 4)
        before = Array.new(width, 0)
        used = Array.new(width, false)
        column = 0
        until @owner[column].zero?
          used[column] = true
          column = advance(column, least, before, used)
        end
        swap(column, before)
      end

      # Relaxes the ways out of a column's row and steps to the nearest column not yet used.
      def advance(column, least, before, used)
        row = @owner[column]
        step, following = relax(row, column, least, before, used)
        (0...used.size).each do |j|
          if used[j]
            @rows[@owner[j]] += step
            @columns[j] -= step
          else
            least[j] -= step
          end
        end
        following
      end

      def relax(row, column, least, before, used)
        costs = @costs[row - 1]
        shift = @rows[row]
        step = FORBIDDEN * 8
        following = 0
        (1...used.size).each do |j|
          next if used[j]

          cost = costs[j - 1] - shift - @columns[j]
          if cost < least[j]
            least[j] = cost
            before[j] = column
          end
          if least[j] < step
            step = least[j]
            following = j
          end
        end
        [step, following]
      end

      def swap(column, before)
        until column.zero?
          @owner[column] = @owner[before[column]]
          column = before[column]
        end
      end
    end
  end
end
