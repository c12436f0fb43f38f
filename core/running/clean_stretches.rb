# frozen_string_literal: true

module Core
  module Running
    # What of a run went through without a stop and without a trouble spot.
    class CleanStretches
      # from, to: counts of the piece, both danced well; counts: how many.
      Stretch = Struct.new(:from, :to, keyword_init: true) do
        def counts = to - from + 1
      end

      # run: Run
      def initialize(run)
        @run = run
      end

      # [Stretch], in the order in which they were danced.
      def all
        @all ||= @run.stretches.flat_map { |from, to| between(from, to) }
      end

      # The longest, the first of them where several are as long; nil where no count went well.
      def longest = all.max_by.with_index { |stretch, i| [stretch.counts, -i] }

      private

      # A count on which something went wrong is no part of either side.
      def between(from, to)
        wrong = @run.troubles_in(from, to).map { |trouble| trouble.count.floor }.uniq
        edges = [from - 1, *wrong, to + 1]
        edges.each_cons(2).filter_map do |before, after|
          Stretch.new(from: before + 1, to: after - 1) if after - before > 1
        end
      end
    end
  end
end
