# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # The end of every school: full runs and cleaning.
      module Runs
        private

        # Full runs, each in a later rehearsal than the one before; cleaning once the first has been danced.
        def add_runs
          add_edges
          people = @links.map { |placed| @items.in_link(placed.index) }.reduce([], :|)
          wanted = ["stumble", *Array.new([@runs - 1, 0].max) { |i| i < @runs / 2 ? "music" : "full_out" }].first(@runs)
          before = @tasks.map(&:id)
          wanted.drop(@done_runs).each_with_index do |kind, i|
            add_run(kind, i + @done_runs + 1, people, before)
            add_cleaning if i.zero?
          end
          add_cleaning if wanted.size <= @done_runs
        end

        def add_run(kind, number, people, before)
          passes = kind == "stumble" ? 2 : 1
          minutes = @estimate.chain(@work.order.length_seconds, people: people.size, passes:, notes: 5).minutes
          push(
            kind: "run",
            id: TaskKey.of("run", number),
            minutes:,
            dancers: people,
            links: (1..@links.size).to_a,
            after: before,
            after_window: previous("run"),
            title: kind
          )
        end

        # A share of what learning a section takes, less what has been cleaned already.
        def add_cleaning
          return if @cleaning.zero?

          @links.uniq { |placed| placed.section.id }.each do |placed|
            item = @items.of_link(placed.index)
            clean(
              TaskKey.of("clean", item.key),
              placed,
              item,
              minutes(placed, @cleaning),
              after: learned(placed.section) + ids("run-1")
            )
          end
        end

        # The minutes of a cleaning task that were not held yet, in whole steps of five; none where there are none.
        def clean(id, placed, item, minutes, **more)
          left = (minutes - @held.fetch(id, 0)) / 5 * 5
          return unless left.positive?

          add(kind: "clean", id:, item:, minutes: left, section: placed.section, links: [placed.index], **more)
        end
      end
    end
  end
end
