# frozen_string_literal: true

module Core
  module Floor
    # What every group does on every count of a link: moving, holding, free or off. Counts are the link's own, from 1;
    # a part that dovetails begins below 1. A count nobody spoke for has no lane.
    class Lanes
      # from, to: counts, inclusive; doing: :moving, :holding, :free or :off; part: Piece::Part or nil; own: whether it
      # dances steps of its own there.
      Lane = Struct.new(:group, :from, :to, :doing, :part, :own, keyword_init: true) do
        # Whether a count (from 1) lies in it.
        def cover?(count) = count.between?(from, to)
      end

      # placed: Piece::PlacedLink; lines: [Movement::Line] as danced; groups: ids of all groups of the piece; others:
      # {group => [Movement::Line]} of those who have steps of their own.
      def initialize(placed, lines, groups, others: {})
        @placed = placed
        @own = lines.sum(&:counts)
        @free = { nil => free_counts(lines), **others.transform_values { |own| free_counts(own) } }
        @theirs = others.keys.to_h { |group| [group, placed.link.own_counts(group)] }
        @groups = groups
        @parts = placed.section.parts.to_h { |part| [part.group, part] }
      end

      # [Lane], group by group in time.
      def all = @all ||= (@groups | @parts.keys).flat_map { |group| of(group) }

      # What a group does on a count of the link; nil when nobody said.
      def doing(group, count) = by_group.fetch(group, []).find { |lane| lane.cover?(count) }&.doing

      # {group id => [Lane]}, in order of counts.
      def by_group = @by_group ||= all.group_by(&:group)

      # The last count of a group's moves and holds: {group => count}.
      def ends = @parts.transform_values { |part| part.length(@own) }

      private

      def of(group)
        part = @parts[group]
        return whole(group) unless part

        first = [1, part.offset + 1].min
        doings = (first..@placed.counts).to_h { |count| [count, at(part, count)] }
        part.stretches.each do |from, to, doing|
          (from..to).each { |count| doings[count] = doing if doings.key?(count) }
        end
        runs(group, doings, part)
      end

      def whole(group)
        return [Lane.new(group:, from: 1, to: @placed.counts, doing: :off)] if @parts.any?

        runs(group, (1..@own).to_h { |count| [count, move(count, group)] }, nil)
      end

      def at(part, count)
        from, to = part.moves(@own)
        return part.own_count(count)&.then { |own| move(own, part.group) } || :holding if count.between?(from, to)
        return (:holding if count <= to + part.hold_after) unless count < from

        count > part.offset - part.hold_before ? :holding : :off
      end

      def move(count, group) = @free.fetch(group) { @free[nil] }.include?(count) ? :free : :moving

      def runs(group, doings, part)
        known = doings.filter_map { |count, doing| [count, doing, own?(part, count, doing)] if doing }
        runs = known.chunk_while { |one, two| one.drop(1) == two.drop(1) && two.first == one.first + 1 }
        runs.map do |run|
          Lane.new(group:, from: run.first[0], to: run.last[0], doing: run.first[1], part:, own: run.first[2])
        end
      end

      # Whether a group dances steps of its own on a count of the link.
      def own?(part, count, doing)
        theirs = part && @theirs[part.group]
        !theirs.nil? && %i[moving free].include?(doing) && theirs.include?(part.own_count(count))
      end

      # Counts of the section that are freestyle for the feet or the whole body.
      def free_counts(lines)
        start = 0
        lines.each_with_object([]) do |line, counts|
          line.placed.select { |move| move.kind == :free && %i[feet body].include?(move.layer) }.each do |move|
            counts.concat(
              (((move.at / 12) + 1)..[move.end_at, line.length].min.fdiv(12).ceil).map { |count| start + count }
            )
          end
          start += line.counts
        end
      end
    end
  end
end
