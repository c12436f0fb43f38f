# frozen_string_literal: true

module Core
  module Learning
    # What there is to learn in a work, and who has to.
    # cast: {person id => [group ids]}. A section without parts is danced by the whole cast.
    class Items
      attr_reader :all, :columns

      def initialize(work, cast: {})
        @cast = cast
        @links = work.order.links
        @joins = Joins::Sequence.new(work.order).joins
        @inside = {}
        @columns = build_columns.freeze
        @all = @columns.uniq(&:key).freeze
        @dancers = {}
      end

      # Items one person is in, in running order.
      def for(person) = all.select { |item| dancers(item).include?(person) }

      # Ids of those who dance an item.
      def dancers(item) = @dancers[item.key] ||= who(item)

      # Ids of the whole cast.
      def everybody = @cast.keys

      # Ids of those who dance a link (by index from 1).
      def in_link(index) = in_section(@links[index - 1].section)

      # The Piece::Section of a section's item.
      # Everybody of a group.
      def in_group(group) = cast_of([group])

      def section_of(item) = @links[item.links.first - 1]&.section

      # The item whose state a link's place shows: the difference for an altered link, else its section.
      def of_link(index) = links_at[index]

      # The item of the join that leaves the link with this index, or nil after the last.
      def of_join(index) = @joins[index - 1].then { |join| by_key[join&.key] }

      private

      def by_key = @by_key ||= columns.to_h { |item| [item.key, item] }

      def links_at
        @links_at ||=
          columns
            .select { |item| %i[section difference].include?(item.kind) }
            .flat_map { |item| item.links.map { |index| [index, item] } }
            .to_h
      end

      def who(item)
        return @cast.select { |_, groups| groups.include?(item.group) }.keys if item.kind == :own
        return taught_in(@links[item.links.first - 1].section) if item.kind == :section

        return item.links.map { |index| in_link(index) }.uniq.reduce(:|) unless item.kind == :join

        item.links.map { |index| both(@joins[index - 1]) }.uniq.reduce(:|)
      end

      # Who learns what is taught: not those who only have steps of their own there.
      def taught_in(section)
        alone = section.own_groups.select { |group| section.only_own?(group) }
        return in_section(section) if alone.empty?

        in_section(section).reject do |person|
          here = section.groups & @cast[person]
          here.any? && (here - alone).empty?
        end
      end

      def both(join) = in_section(join.leaving.section) & in_section(join.entering.section)

      def in_section(section) = @inside[section.id] ||= cast_of(section.groups)

      def cast_of(wanted)
        wanted.empty? ? @cast.keys : @cast.select { |_, groups| groups.intersect?(wanted) }.keys
      end

      def build_columns
        return [] if @links.empty?

        woven = @links.flat_map do |placed|
          [link_item(placed), *own_items(placed), join_item(@joins[placed.index - 1])].compact
        end
        [edge_item(:opening, Item::OPENING, 1), *woven, edge_item(:ending, Item::ENDING, @links.size)]
      end

      def edge_item(kind, key, index) = Item.new(kind:, key:, name: kind.to_s, links: [index])

      def link_item(placed)
        return difference(placed) if placed.link.altered?

        section = placed.section
        same = @links.select { |other| other.section.id == section.id && !other.link.altered? }
        Item.new(
          kind: :section,
          key: Values::ItemKey.section(section.id).to_s,
          name: section.name,
          links: same.map(&:index),
          counts: section.counts
        )
      end

      # What groups have of their own, at the first place of the section.
      def own_items(placed)
        return [] if placed.link.altered?

        section = placed.section
        same = @links.select { |other| other.section.id == section.id && !other.link.altered? }.map(&:index)
        same.first == placed.index ? section.own_groups.map { |group| own_item(section, group, same) } : []
      end

      def own_item(section, group, links)
        Item.new(
          kind: :own,
          key: Values::ItemKey.section(section.id).with(group: group.to_s).to_s,
          name: "#{section.name}, #{section.cast_groups.to_h[group]}",
          links:,
          counts: section.own_eights(group).sum(&:counts),
          group:
        )
      end

      def difference(placed)
        counts = placed.link.danced.select(&:changed).sum { |danced| danced.row.counts }
        Item.new(
          kind: :difference,
          key: Values::ItemKey.difference(placed.link.id || placed.index).to_s,
          name: placed.name,
          links: [placed.index],
          counts:
        )
      end

      def same_joins = @same_joins ||= @joins.group_by(&:key)

      def join_item(join)
        return unless join

        Item.new(kind: :join, key: join.key, name: join.name, links: same_joins.fetch(join.key).map(&:index))
      end
    end
  end
end
