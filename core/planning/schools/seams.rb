# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Joins, the opening and the ending as tasks: each once, where not enough of those in it have it yet.
      module Seams
        # Share of those in a join who have it at slow counts, from which it needs no slot.
        ENOUGH = 0.8

        private

        def add_join(join)
          item = @items.of_join(join.index)
          people = @items.dancers(item)
          return if join.repeat? || people.empty? || @made.include?(item.key)
          return if @progress.share(people, item.key, at: "slow") >= ENOUGH

          bpm = @work.track.map.bpm_at(join.entering.start_beat)
          add(
            kind: "join",
            id: TaskKey.of("join", item.key),
            item:,
            minutes: @estimate.join(bpm:, people: people.size).minutes,
            section: join.entering.section,
            links: [join.index, join.entering.index],
            after: around(join)
          )
        end

        # How the piece opens and how it ends are learned like joins.
        def add_edges
          [[:opening, @links.first], [:ending, @links.last]].each do |kind, placed|
            item = @items.all.find { |each| each.kind == kind }
            people = @items.dancers(item)
            next if people.empty? || @progress.share(people, item.key, at: "slow") >= ENOUGH

            minutes =
              @estimate.join(bpm: @work.track.map.bpm_at(placed.start_beat), people: people.size, passes: 2).minutes
            add(
              kind: "join",
              id: TaskKey.of("join", item.key),
              item:,
              minutes:,
              section: placed.section,
              links: [placed.index],
              after: learned(placed.section) + different(placed)
            )
          end
        end

        def around(join)
          [join.leaving, join.entering].flat_map { |placed| learned(placed.section) + different(placed) }
        end
      end
    end
  end
end
