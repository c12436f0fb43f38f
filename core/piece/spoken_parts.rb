# frozen_string_literal: true

module Core
  module Piece
    # The parts of groups as a section's eights say them: who begins later, who holds, who follows in canon. All that is
    # said holds, or nothing of it: as long as somebody has to be asked (a name that no group has, a "then the others"
    # without a number), there are no parts. Who is done waits for the last.
    class SpokenParts
      # kind: :who (said is no group's name) or :when (how many counts after the first); row: number of the eight.
      Asked = Struct.new(:kind, :row, :said, keyword_init: true)

      # rows: [Row]; groups: [[id, name], …] of the piece.
      def initialize(rows, groups)
        @rows = rows
        @ids = groups.to_h { |id, name| [name, id] }
        @said = rows.map { |row| Movement::GroupWords.of(row.text, @ids.keys) }
      end

      # Whether the eights speak of groups that the piece could have.
      def any? = @ids.any? && @said.any?(&:any?)

      # [Asked], in order of the eights.
      def asked
        @asked ||= @said.each_with_index.flat_map do |said, i|
          strangers = (said.names - @ids.keys).map { |name| Asked.new(kind: :who, row: i + 1, said: name) }
          open = said.later.value?(nil) ? [Asked.new(kind: :when, row: i + 1, said: said.first.to_a.join(", "))] : []
          [*strangers, *open]
        end
      end

      # Ids of groups with steps of their own, in order of the piece.
      def own = @ids.values_at(*(@ids.keys & @said.flat_map { |said| said.own.keys }))

      # [Part] of all groups of the piece, or [].
      def parts
        return [] if !any? || asked.any?

        waits = @ids.values.to_h { |id| [id, waits(id)] }
        longest = waits.values.map { |all| all.sum(&:last) }.max
        waits.map { |id, all| part(id, all, longest) }
      end

      private

      def part(id, waits, longest)
        offset = waits.select { |after, _| after.zero? }.sum(&:last)
        pauses = waits.reject { |after, _| after.zero? }
        Part.new(
          group: id, offset:, hold_before: offset, hold_after: longest - waits.sum(&:last), pauses:,
          stretches: stretches(id, waits)
        )
      end

      # [[counts of the section before it, counts it waits], …] of a group.
      def waits(id)
        each_row.filter_map do |said, start|
          by = wait(said, id)
          [start, by] if by.positive?
        end
      end

      def each_row
        start = 0
        @said.zip(@rows).map { |said, row| [said, start].tap { start += row.counts } }
      end

      def wait(said, id)
        name = @ids.key(id)
        after(said, name) + in_turn(said, name)
      end

      def after(said, name)
        return said.later[name] if said.later[name]

        others = said.later.key?(nil) && !said.first.to_a.include?(name) && !said.later.key?(name)
        others ? said.later[nil] : 0
      end

      # The place in a canon: in the order that was said, else in that of the piece.
      def in_turn(said, name)
        return 0 unless said.apart

        order = said.apart.first.size > 1 ? said.apart.first : (said.apart.first | @ids.keys)
        (order.index(name) || 0) * said.apart.last
      end

      # Counts of the link on which it holds while others dance.
      def stretches(id, waits)
        each_row.zip(@rows).flat_map do |(said, start), row|
          before = start + waits.select { |after, _| after <= start }.sum(&:last)
          held = said.holds.select { |names, _, _| names.include?(@ids.key(id)) }
          held.map { |_, from, to| [before + from, before + (to || row.counts), :holding] }
        end
      end
    end
  end
end
