# frozen_string_literal: true

module Core
  module Running
    # Joins that were danced clean, from an eight before to an eight after, in two runs to the music: they are made,
    # whether anybody ticked them or not.
    #
    #   MadeJoins.new(runs, work.order).all  # => [1, 2]
    class MadeJoins
      RUNS = 2
      AROUND = 8

      # runs: [Run], of any kind; order: Piece::RunningOrder.
      def initialize(runs, order)
        @runs = runs.select { |run| run.kind.music && !run.kind.small }
        @links = order.links
      end

      # Indexes of joins (that of the link they leave).
      def all
        @links.each_cons(2).filter_map do |leaving, entering|
          leaving.index if @runs.count { |run| clean?(run, entering.start_count) } >= RUNS
        end
      end

      private

      def clean?(run, boundary)
        CleanStretches.new(run).all.any? { |one| one.from <= boundary - AROUND && one.to >= boundary + AROUND - 1 }
      end
    end
  end
end
