# frozen_string_literal: true

module Core
  module Floor
    # What is wrong with the lines of a piece: somebody unaccounted for, groups that do not meet where unison returns, a
    # hold released early, a dancer asked for two things, a last voice that is late.
    class LineChecks
      # kind: :unaccounted, :no_line, :not_together, :hold_released, :two_things or :late; link: index; groups: ids;
      # from, to: counts of the link; people: ids of dancers; ends: {group => count}.
      Trouble = Struct.new(:kind, :link, :groups, :from, :to, :people, :ends, keyword_init: true)

      # cast: {person => [group ids]}.
      def initialize(work, danced: Piece::Danced.new(work), cast: {})
        @work = work
        @danced = danced
        @cast = cast
        @links = work.order.links
        @groups = work.groups.map(&:first)
      end

      # Lanes of each link, by index from 1.
      def lanes(index)
        (@lanes ||= {})[index] ||= begin
          placed = @links[index - 1]
          others = placed.section.own_groups.to_h { |group| [group, @danced.plain_lines(placed.link.of_group(group))] }
          Lanes.new(placed, @danced.link_lines(placed.link), @groups, others:)
        end
      end

      # [Trouble] of all links, in running order.
      def findings = @links.flat_map { |placed| of(placed) }

      # Findings of one link (Piece::PlacedLink).
      def of(placed)
        return [] if placed.section.parts.empty?

        [
          *unaccounted(placed),
          *no_line(placed),
          *not_together(placed),
          *released(placed),
          *two_things(placed),
          *late(placed)
        ]
      end

      private

      def own(placed) = placed.link.danced.sum { |danced| danced.row.counts }
      def later(placed) = @links[placed.index]
      def part(placed, group) = placed && placed.section.parts.find { |each| each.group == group }

      # Counts after a group's part that neither a hold nor an early entry into the next link takes up.
      def unaccounted(placed)
        placed.section.parts.filter_map do |part|
          from = part.length(own(placed)) + 1
          to = placed.counts - early_entry(placed, part.group)
          Trouble.new(kind: :unaccounted, link: placed.index, groups: [part.group], from:, to:) if from <= to
        end
      end

      # Counts by which a group enters the next link before this one is over.
      def early_entry(placed, group)
        entering = part(later(placed), group)
        entering ? [-entering.offset, 0].max : 0
      end

      # Dancers who are in no group, where groups have their lines.
      def no_line(placed)
        people = @cast.select { |_, groups| groups.empty? }.keys
        if people.empty?
          []
        else
          [Trouble.new(kind: :no_line, link: placed.index, groups: [], from: 1, to: placed.counts, people:)]
        end
      end

      def not_together(placed)
        following = later(placed) or return []
        shared = placed.section.parts.map(&:group)
        entering = following.section.parts
        shared &= entering.map(&:group) if entering.any?
        ends = lanes(placed.index).ends.slice(*shared)
        together = entering.select { |part| shared.include?(part.group) }.map(&:offset).uniq.size < 2
        return [] unless together && ends.values.uniq.size > 1

        [
          Trouble.new(
            kind: :not_together,
            link: placed.index,
            groups: shared,
            from: ends.values.min,
            to: ends.values.max,
            ends:
          )
        ]
      end

      # A hold to the end of the link that the same group leaves early for the next.
      def released(placed)
        placed.section.parts.filter_map do |part|
          ends = part.length(own(placed))
          leaves = placed.counts - early_entry(placed, part.group)
          holds = part.hold_after.positive? || part.stretches.any? { |_, to, doing| doing == :holding && to >= ends }
          if holds && leaves < ends
            Trouble.new(kind: :hold_released, link: placed.index, groups: [part.group], from: leaves + 1, to: ends)
          end
        end
      end

      # Dancers of two groups on counts where these do different things.
      def two_things(placed)
        pairs.filter_map do |groups, people|
          counts = (1..placed.counts).select { |count| differ?(placed, groups, count) }
          if counts.any?
            Trouble.new(kind: :two_things, link: placed.index, groups:, from: counts.first, to: counts.last, people:)
          end
        end
      end

      # [[[group, group], [people]], …] of everybody who is in more than one.
      def pairs
        @pairs ||=
          @cast
            .flat_map { |person, groups| groups.sort.combination(2).map { |pair| [pair, person] } }
            .group_by(&:first)
            .map { |pair, found| [pair, found.map(&:last)] }
      end

      def differ?(placed, groups, count)
        doings = groups.map { |group| lanes(placed.index).doing(group, count) }
        return false if doings.any? { |doing| doing.nil? || doing == :off }

        doings.uniq.size > 1 || owns?(placed, groups, count) ||
          (
            doings.first == :moving &&
              groups.map { |group| part(placed, group).then { |each| [each.offset, each.mirrored] } }.uniq.size > 1
          )
      end

      # Whether one of the groups has steps of its own on a count.
      def owns?(placed, groups, count)
        own = lanes(placed.index).by_group.values_at(*groups).compact.flatten.select(&:own)
        own.any? { |lane| lane.cover?(count) }
      end

      # The last voice of a canon against the counts the section is said to take.
      def late(placed)
        allowed = placed.section.expected_counts or return []
        late = lanes(placed.index).ends.select { |_, ends| ends > allowed }
        if late.empty?
          []
        else
          [
            Trouble.new(
              kind: :late,
              link: placed.index,
              groups: late.keys,
              from: allowed + 1,
              to: late.values.max,
              ends: late
            )
          ]
        end
      end
    end
  end
end
