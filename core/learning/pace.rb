# frozen_string_literal: true

module Core
  module Learning
    # How far the others are with an item, and who is behind them. The pace is the rung that half of those who dance it
    # have reached; nobody is behind where half have not begun.
    class Pace
      def initialize(items, progress)
        @items = items
        @progress = progress
        @pace = {}
      end

      # A rung's number.
      def of(item)
        @pace[item.key] ||= begin
          rungs = @items.dancers(item).map { |person| @progress.rung(person, item.key) }.sort.reverse
          rungs.empty? ? 0 : rungs[(rungs.size - 1) / 2]
        end
      end

      # Rungs a person is behind the others, over all they dance.
      def behind(person) = all[person].to_i

      private

      # {person => rungs}, in one walk over the piece.
      def all
        @all ||= @items.all.each_with_object(Hash.new(0)) do |item, sums|
          pace = of(item)
          next if pace.zero?

          @items.dancers(item).each do |person|
            short = pace - @progress.rung(person, item.key)
            sums[person] += short if short.positive?
          end
        end
      end
    end
  end
end
