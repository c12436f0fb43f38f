# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # What differs from what was taught: a repeat with changes, and a section that was changed after it was taught.
      module Differences
        # What showing changed eights to people who know the section takes of teaching them.
        ANEW = 0.6
        private_constant :ANEW

        private

        def add_difference(placed)
          item = @items.of_link(placed.index)
          return if taught(item) > 0.9

          minutes =
            @estimate.difference(
              placed.section,
              item.counts,
              bpm: @work.track.map.bpm_at(placed.start_beat),
              people: @items.in_link(placed.index).size
            ).minutes
          add(
            kind: "difference",
            id: TaskKey.of("difference", item.key),
            item:,
            minutes:,
            section: placed.section,
            links: [placed.index],
            after: learned(placed.section)
          )
        end

        # The changed eights, to those who have the old ones.
        def add_recut(placed)
          item = @items.of_link(placed.index)
          recut = @recut[item.key]
          return if recut.nil? || item.links.first != placed.index || placed.section.untaught?

          people = @items.dancers(item) & recut.fetch(:people)
          eights = recut.fetch(:eights).grep(1..placed.section.rows.size)
          return if people.empty? || eights.empty?

          add(kind: "difference", id: TaskKey.of("anew", item.key), item:, section: placed.section,
              minutes: anew(placed, eights.size, people.size), eights: eights.size, links: [placed.index],
              after: ids(TaskKey.of("learn", item.key)), dancers: people)
        end

        def anew(placed, eights, people)
          left = ANEW * eights / placed.section.new_eights
          bpm = @work.track.map.bpm_at(placed.start_beat)
          @estimate.learn(placed.section.with(minutes: nil), left:, bpm:, people:).minutes
        end
      end
    end
  end
end
