# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # What groups have of their own in a section is learned by them alone, after what all learn of it.
      module Own
        private

        def add_own(placed)
          return if placed.section.known

          own = @items.all.select { |item| item.kind == :own && item.links.first == placed.index }
          own.reject { |item| taught(item) > 0.9 }.each { |item| add_own_item(placed, item) }
        end

        def add_own_item(placed, item)
          section = placed.section.with(rows: placed.section.own_eights(item.group), cast_groups: [], minutes: nil)
          here, = called(@items.dancers(item))
          minutes = @estimate.learn(
            section, left: 1 - taught(item), bpm: @work.track.map.bpm_at(placed.start_beat), people: here.size
          ).minutes
          add(
            kind: "learn", id: TaskKey.of("learn", item.key), item:, minutes:, section: placed.section,
            eights: section.eights, links: [placed.index], after: learned(placed.section) - own_ids(placed.section),
            dancers: here
          )
        end

        def own_ids(section)
          section.own_groups.flat_map do |group|
            ids(TaskKey.of("learn", Values::ItemKey.section(section.id).with(group: group.to_s)))
          end
        end
      end
    end
  end
end
