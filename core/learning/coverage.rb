# frozen_string_literal: true

module Core
  module Learning
    # Every link and join in the run with what was done to it: the classic late surprise is a join nobody made.
    class Coverage
      Covered = Struct.new(:item, :dancers, :shown, :learned, :last_danced_on, keyword_init: true) do
        # Whether nobody was shown it, though somebody dances it.
        def untouched? = shown.zero? && dancers.positive?
      end

      # What is wrong with a line, in the order in which it is to be mended.
      KINDS = %i[unticked never_taught never_joined never_run not_for_long].freeze
      TWICE = 2

      # runs: ranges of link indexes that were run already, one a run; danced: those of them of which that is sure.
      def initialize(items, progress, runs: [], danced: [])
        @danced = danced
        @items = items
        @progress = progress
        @runs = runs
      end

      # [Covered] of everything there is to learn, in running order.
      def lines = @items.all.map { |item| line(item) }

      # Items in the run that nobody has been shown though a neighbour was danced.
      def gaps = lines.select(&:untouched?)

      # {kind => [Covered]}: danced in two runs though nobody ticked it, never taught, never joined, taught but never in
      # a run, and not danced for so long that most of those who had it are rusty. A line stands under the first that
      # holds; what groups begin and end with is no part.
      def holes(today)
        found = lines.reject { |line| %i[opening ending].include?(line.item.kind) || line.dancers.zero? }
        found.group_by { |line| hole(line, today) }.slice(*KINDS)
      end

      private

      def hole(line, today)
        return untouched(line.item) if line.untouched? && !untaught?(line.item)
        return :not_for_long if rusty?(line.item, today)

        :never_run unless line.item.links.any? { |index| run?(line.item, index) }
      end

      def untouched(item)
        return :unticked if item.links.any? { |index| runs_of(@danced, item, index) >= TWICE }

        item.kind == :join ? :never_joined : :never_taught
      end

      # Known material, and freestyle, is there without being taught.
      def untaught?(item) = item.kind == :section && @items.section_of(item)&.untaught?

      def run?(item, index) = runs_of(@runs, item, index).positive?

      def runs_of(runs, item, index)
        runs.count { |run| run.cover?(index) && (item.kind != :join || run.cover?(index + 1)) }
      end

      def rusty?(item, today)
        had = @items.dancers(item).map { |person| @progress.cell(person, item.key) }
          .select { |cell| cell.rung >= Cell::TEMPO }
        had.any? && had.count { |cell| cell.freshness(today) == :rusty } * 2 > had.size
      end

      def line(item)
        people = @items.dancers(item)
        cells = people.map { |person| @progress.cell(person, item.key) }
        Covered.new(
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
