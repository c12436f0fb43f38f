# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # The end of every school: full runs and cleaning.
      module Runs
        # A spot somebody wants drilled: subject of its task's key; minutes; dancers; links (indexes); title.
        Drill = Struct.new(:subject, :minutes, :dancers, :links, :title, keyword_init: true)

        private

        # So many runs lie in one rehearsal at the most.
        AN_EVENING = 2
        private_constant :AN_EVENING

        # Full runs, each after the one before, at most two in a rehearsal; cleaning once the first has been danced.
        def add_runs
          add_edges
          people = @links.map { |placed| @items.in_link(placed.index) }.reduce([], :|)
          wanted = ["stumble", *Array.new([@runs - 1, 0].max) { |i| i < @runs / 2 ? "music" : "full_out" }].first(@runs)
          before = @tasks.map(&:id)
          early = before - ids_without
          add_drills
          wanted.drop(@done_runs).each_with_index do |kind, i|
            number = i + @done_runs + 1
            add_run(kind, number, people, number < @runs ? early : before)
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
            leads: leads(people),
            links: (1..@links.size).to_a,
            after: before | previous("run"),
            after_window: ids("run-#{number - AN_EVENING}"),
            title: kind,
            full_out: kind == "full_out"
          )
        end

        # Tasks of sections that runs do not wait for, and of joins with them.
        def ids_without
          alone = @work.sections.select(&:run_without).map(&:id)
          @tasks.select { |task| task.sections.intersect?(alone) }.map(&:id)
        end

        # Whoever teaches a section leads a run, or whom the director has for it. Who dances it cannot lead it too.
        def leads(people)
          teachers = @links.flat_map { |placed| placed.section.called_teachers }.uniq.to_h { |who| [who, 0] }
          @leaders.merge(teachers).except(*people).map { |who, price| { people: [who], price: } }
        end

        # What went wrong in a run, and what notes did not mend. No run waits for it: who is away for a drill must not
        # stop the piece.
        def add_drills
          @drills.each do |drill|
            last = @links[drill.links.last - 1].section
            push(
              kind: "clean", id: TaskKey.of("drill", drill.subject), minutes: (drill.minutes / 5.0).ceil * 5,
              dancers: drill.dancers, choreographers: owner(last), links: drill.links, title: drill.title
            )
          end
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
