# frozen_string_literal: true

module Core
  module Learning
    # Every link and join in the run with what was done to it: the classic late surprise is a join nobody made.
    class Coverage
      Line = Struct.new(:item, :dancers, :shown, :learned, :last_danced_on, keyword_init: true) do
        # Whether nobody was shown it, though somebody dances it.
        def untouched? = shown.zero? && dancers.positive?
      end

      def initialize(items, progress)
        @items = items
        @progress = progress
      end

      # [Line] of everything there is to learn, in running order.
      def lines = @items.all.map { |item| line(item) }

      # Items in the run that nobody has been shown though a neighbour was danced.
      def gaps = lines.select(&:untouched?)

      private

      def line(item)
        people = @items.dancers(item)
        cells = people.map { |person| @progress.cell(person, item.key) }
        Line.new(
          item:,
          dancers: people.size,
          shown: cells.count { |cell| cell.rung.positive? },
          learned: cells.count { |cell| @progress.ladder.learned?(cell.rung) },
          last_danced_on: cells.filter_map(&:last_danced_on).max
        )
      end
    end
  end
end
