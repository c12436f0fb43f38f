# frozen_string_literal: true

module Core
  module Running
    # A piece cut into its eights, in running order, and places on its counts. A place is said as link, eight and count;
    # it is worked with as a count of the piece (from 1, a Rational where it lies between two).
    #
    #   eights.count_of(2, 1, 48)  # => 53, the fifth count of the first eight of link 2
    class Eights
      # link: index from 1; row: which eight of it, from 1; from, to: the counts of the piece it holds; key: equal where
      # the same material is danced.
      Eight = Struct.new(:link, :row, :from, :to, :key, keyword_init: true) do
        def counts = to - from + 1
        def cover?(count) = count >= from && count < to + 1
        def place = [link, row]
      end

      TWELFTHS = 12

      attr_reader :all

      # order: Piece::RunningOrder
      def initialize(order)
        @order = order
        @all = order.links.flat_map { |placed| of(placed) }.freeze
        @by_place = @all.to_h { |eight| [eight.place, eight] }
        @of_link = @all.group_by(&:link)
      end

      # The Eight that holds a count of the piece, or nil outside it.
      def at(count) = all.bsearch { |eight| eight.to + 1 > count }&.then { |eight| eight if eight.cover?(count) }

      # The Eight of a place, or nil where there is none.
      def of_place(link, row) = @by_place[[link, row]]

      # The eights of a link (index from 1).
      def of_link(link) = @of_link.fetch(link, [])

      # The count of the piece at a place, which is no later than its eight's last; nil where there is no such eight.
      # twelfths: from the eight's beginning.
      def count_of(link, row, twelfths = 0)
        eight = of_place(link, row) or return
        [eight.from + Rational(twelfths, TWELFTHS), eight.to + Rational(TWELFTHS - 1, TWELFTHS)].min
      end

      # [link, row, count of the eight from 1] of a count of the piece; nil outside it.
      def place_of(count)
        eight = at(count) or return
        [eight.link, eight.row, (count - eight.from).floor + 1]
      end

      # The eight before, and after, one; nil at the ends.
      def before(eight) = (index = all.index(eight)).positive? ? all[index - 1] : nil
      def after(eight) = all[all.index(eight) + 1]

      # First and last count of a link.
      def span(link) = of_link(link).then { |own| own.first.from..own.last.to }

      # Counts of the whole piece.
      def total = all.empty? ? 0 : all.last.to

      # Eights from one place to another: [Eight].
      def between(from, to) = all[all.index(from)..all.index(to)]

      # Seconds at tempo from the beginning of a count of the piece to the beginning of another.
      def seconds(from, to) = second_of(to) - second_of(from)

      # The second of the recording at which a count of the piece begins.
      def second_of(count)
        placed = @order.links.reverse.find { |each| each.start_count <= count } || @order.links.first
        @order.second_at(placed, count - placed.start_count)
      end

      private

      # What lies before the first group begins belongs to the first eight, what groups still take to the last.
      def of(placed)
        rows = placed.link.danced
        return [] if rows.empty?

        lead = [placed.section.parts.map(&:offset).min || 0, 0].max
        ends = rows.map { |each| lead += each.row.counts }
        ends[-1] = [placed.counts, ends[-1]].max
        from = 0
        rows.each_with_index.map do |danced, i|
          eight = Eight.new(link: placed.index, row: i + 1, from: placed.start_count + from,
                            to: placed.start_count + ends[i] - 1, key: key(placed, danced, i))
          from = ends[i]
          eight
        end
      end

      def key(placed, danced, index)
        return [placed.section.id, danced.origin] unless danced.changed

        [placed.section.id, :changed, placed.link.id || placed.index, index]
      end
    end
  end
end
