# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Add on from the top: learn the next section, join it to what is there, run the chain so far; when all is
      # joined, full runs: stumble-through, with music, full out. Answers tasks in that order.
      # Progress shortens what is partly there and leaves out what is done.
      class AddOn
        ENOUGH = 0.8
        RUN_KINDS = %w[stumble music full_out].freeze

        # items: Learning::Items; progress: Learning::Progress; runs: how many full runs are wanted.
        def initialize(work, items:, progress: Learning::Progress.new, estimate: Estimate.new, runs: 5, done_runs: 0)
          @work = work
          @items = items
          @progress = progress
          @estimate = estimate
          @runs = runs
          @done_runs = done_runs
          @links = work.order.links
          @joins = Joins::Sequence.new(work.order).joins
        end

        def tasks
          @tasks = []
          @links.each { |placed| add_link(placed) }
          add_runs
          @tasks
        end

        private

        def add_link(placed)
          placed.link.altered? ? add_difference(placed) : add_section(placed)
          join = @joins[placed.index - 2] if placed.index > 1
          add_join(join) if join && !join.repeat?
          add_chain(placed.index) if placed.index > 2 || placed.index == @links.size
        end

        def add_section(placed)
          item = @items.of_link(placed.index)
          left = 1 - taught(item)
          return if item.links.first != placed.index || left < 0.1

          add(kind: "learn", id: "learn-#{item.key}", item:, minutes: @estimate.learn(placed.section, left:).minutes, split: true, eights: placed.section.eights * left,
              section: placed.section, links: [placed.index], after: previous("learn"))
        end

        # How much of an item is there already, 0 to 1: each rung up to "at tempo" is a third.
        def taught(item)
          people = @items.dancers(item)
          return 0.0 if people.empty?

          people.sum { |person| [@progress.rung(person, item.key), 3].min }.fdiv(3 * people.size)
        end

        def add_difference(placed)
          item = @items.of_link(placed.index)
          return if taught(item) > 0.9

          minutes = @estimate.difference(placed.section, item.counts).minutes
          add(kind: "difference", id: "difference-#{item.key}", item:, minutes:, section: placed.section, links: [placed.index],
              after: learned(placed.section))
        end

        def add_join(join)
          item = @items.of_join(join.index)
          people = @items.dancers(item)
          return if people.empty? || @progress.share(people, item.key, at: 2) >= ENOUGH

          bpm = @work.track.map.bpm_at(join.entering.start_beat)
          add(kind: "join", id: "join-#{item.key}", item:, minutes: @estimate.join(bpm:, people: people.size).minutes,
              section: join.entering.section, links: [join.index, join.entering.index], after: around(join))
        end

        def around(join) = [join.leaving, join.entering].flat_map { |placed| learned(placed.section) + different(placed) }

        def add_chain(last)
          waits = @tasks.map(&:id) - @tasks.select(&:run?).map(&:id)
          return if waits.empty? || @tasks.last.kind == "chain"

          links = (1..last).to_a
          seconds = links.sum { |index| @links[index - 1].seconds }
          people = links.map { |index| @items.in_link(index) }.reduce([], :|)
          push(kind: "chain", id: "chain-#{last}", minutes: @estimate.chain(seconds, people: people.size, passes: 1).minutes, dancers: people,
               choreographers: [@links[last - 1].section.choreographer].compact, links:, after: waits, title: "From the top to #{@links[last - 1].name}")
        end

        def add_runs
          return if @links.empty?

          people = @links.map { |placed| @items.in_link(placed.index) }.reduce([], :|)
          wanted = ["stumble", *Array.new([@runs - 1, 0].max) { |i| i < @runs / 2 ? "music" : "full_out" }].first(@runs)
          wanted.drop(@done_runs).each_with_index { |kind, i| add_run(kind, i + @done_runs + 1, people) }
        end

        def add_run(kind, number, people)
          seconds = @work.order.length_seconds
          passes = kind == "stumble" ? 2 : 1
          before = @tasks.reject(&:run?).map(&:id)
          push(kind: "run", id: "run-#{number}", minutes: @estimate.chain(seconds, people: people.size, passes:, notes: 5).minutes, dancers: people,
               links: (1..@links.size).to_a, after: before, after_window: previous("run"), title: kind)
        end

        def learned(section) = ids("learn-s#{section.id}")
        def different(placed) = placed.link.altered? ? ids("difference-#{@items.of_link(placed.index).key}") : []
        def ids(id) = @tasks.map(&:id) & [id]
        def previous(kind) = @tasks.select { |task| task.kind == kind }.last(1).map(&:id)

        def add(item:, section:, **fields)
          push(dancers: @items.dancers(item), choreographers: [section.choreographer].compact, sections: [section.id], title: item.name, **fields)
        end

        def push(**fields) = @tasks << Task.new(**fields)
      end
    end
  end
end
