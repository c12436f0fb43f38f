# frozen_string_literal: true

module App
  module Learning
    module Pages
      # What in the piece was never taught, never joined, never run, or not danced for long.
      class Coverage < Panel
        def panel = :coverage

        # [[title, what it means, [line]], …] of the kinds that have lines.
        def holes
          @holes ||= coverage.holes(today).map do |kind, lines|
            [I18n.t("coverage.#{kind}.title"), I18n.t("coverage.#{kind}.means"), lines]
          end
        end

        # Sections without all their words, each once.
        def unwritten = Shared::Written.lines(work)

        def size = coverage.lines.size

        # "5 of 7 have seen it, last danced 12 days ago"
        def words(line)
          return I18n.t("coverage.nobody", count: line.dancers) if line.untouched?

          ago = Shared::Dates.ago(line.last_danced_on, today)
          I18n.t("coverage.seen", shown: line.shown, of: line.dancers, ago:)
        end

        private

        def coverage
          @coverage ||= Core::Learning::Coverage.new(items, progress, runs: runs.ranges, danced: runs.danced)
        end

        def runs = @runs ||= Reading::RunTwice.new(piece, order, today)
      end
    end
  end
end
