# frozen_string_literal: true

module Formats
  module Print
    # An eight on paper: its counts as columns with what is danced on each, and under them the foot that bears the
    # weight, which way it faces and how low it is. cells: [[text, …] of each count]; names: what is called on each;
    # where: ["count 33", "0:45"]; weight: [[from, to, :left | :right | :both | text, supposed]], facing: [[from, value
    # 1..8 or nil]], level: [[from, to, text]], all in counts from 0 (fractions too); beside: [text], what is said of it
    # all.
    Eight = Struct.new(:number, :where, :names, :cells, :weight, :facing, :level, :cue, :beside, keyword_init: true) do
      const_set(:SIDE, 58)
      # So many counts stand in a line.
      const_set(:MOST, 10)

      # Words longer than that stand under the eight, by their count.
      const_set(:FITS, 120)

      def texts = [number.to_s, *where, *cells.flatten, cue, *beside].compact

      def draw(page)
        strips = (0...cells.size).each_slice(cells.size <= self.class::MOST ? self.class::MOST : 8).to_a
        strips = [[]] if strips.empty?
        strips.each_with_index { |counts, i| Strip.new(self, counts, page).draw(first: i.zero?) }
        (long + beside).each { |text| page.words(text, size: 8.5, colour: "444444", indent: self.class::SIDE) }
        page.gap(5)
      end

      # What stands in the column of a count.
      def words_of(count)
        said = cells[count].join(", ")
        said.size <= self.class::FITS ? said : "↓"
      end

      private

      def long
        said = cells.map { |cell| cell.join(", ") }.zip(names)
        said.select { |text, _| text.size > self.class::FITS }.map { |text, name| "#{name}: #{text}" }
      end
    end

    # Up to ten counts of an eight, drawn on one line.
    class Strip
      TEXT = 9
      RIBBON = 30
      INK = "111111"
      CHALK = "bbbbbb"

      def initialize(eight, counts, page)
        @eight = eight
        @counts = counts
        @page = page
        @pdf = page.pdf
      end

      def draw(first:)
        words = tallest
        @page.room(words + RIBBON + 16)
        top = @pdf.cursor
        head if first
        counts(top, words)
        ribbon(top - 12 - words)
        @pdf.move_cursor_to(top - [words + RIBBON + 14, first ? 40 : 0].max)
        @page.line
      end

      private

      def side = Eight::SIDE
      def wide = @wide ||= (@page.width - side) / [@counts.size, 4].max.to_f
      def x(count) = side + ((count - @counts.first.to_i) * wide)
      def last = @counts.last.to_i + 1

      def head
        top = @pdf.cursor
        @pdf.text_box(@eight.number.to_s, at: [0, top], width: 20, size: 13, style: :bold, height: 16)
        lines = [*@eight.where, @eight.cue].reject { |line| line.to_s.empty? }
        @pdf.text_box(lines.join("\n"), at: [0, top - 16], width: side - 6, size: 7.5, height: 48,
                                        overflow: :shrink_to_fit)
      end

      def words_of(count) = @eight.words_of(count)

      # How high the words of the counts stand.
      def tallest
        @counts.map { |count| @pdf.height_of(words_of(count), width: wide - 5, size: TEXT) }.max.to_f.clamp(TEXT, 400)
      end

      def counts(top, words)
        @counts.each do |count|
          @pdf.stroke_color CHALK
          @pdf.line_width 0.4
          @pdf.stroke_vertical_line top, top - 12 - words - RIBBON + 4, at: x(count) - 2
          @pdf.text_box(@eight.names[count].to_s, at: [x(count), top], width: wide, size: 7.5, style: :bold)
          @pdf.text_box(words_of(count), at: [x(count), top - 10], width: wide - 5, height: words + 2, size: TEXT)
        end
      end

      # The lower half: two rails for the feet, then facing and level.
      def ribbon(top)
        rails = { left: top - 4, right: top - 10 }
        @pdf.line_width 0.4
        rails.each { |name, y| rail(name, y) }
        within(@eight.weight) { |from, to, foot, supposed| bear(from, to, foot, supposed, rails) }
        @eight.facing.each { |from, value| face(x(from), top - 20, value) if here?(from) }
        within(@eight.level) { |from, _, text| word(text, x(from) + 10, top - 16) }
      end

      def rail(name, y)
        @pdf.stroke_color CHALK
        @pdf.stroke_horizontal_line side, x(last) - 4, at: y
        @pdf.text_box(name == :left ? "L" : "R", at: [side - 12, y + 3], width: 10, size: 6)
      end

      def bear(from, to, foot, supposed, rails)
        return on_rails(foot.to_s, x(from) + 2, rails[:right] + 3) if rails.slice(*feet(foot)).empty?

        @pdf.stroke_color supposed ? "888888" : INK
        @pdf.line_width supposed ? 1 : 2.4
        @pdf.dash(2) if supposed
        rails.slice(*feet(foot)).each_value { |y| @pdf.stroke_horizontal_line x(from), x(to) - 3, at: y }
        @pdf.undash
      end

      def feet(foot) = foot == :both ? %i[left right] : [foot]

      # A small arrow head that points where the body faces, as on the floor seen from above: the front is below.
      def face(at, y, value)
        return word("?", at + 1, y + 4) unless value

        @pdf.fill_color INK
        @pdf.rotate(-(value - 1) * 45, origin: [at + 4, y]) do
          @pdf.fill_polygon [at + 4, y - 4], [at + 7, y + 4], [at + 4, y + 2], [at + 1, y + 4]
        end
      end

      # A word on the rails, which stop behind it.
      def on_rails(text, at, y)
        @pdf.fill_color "ffffff"
        @pdf.fill_rectangle [at - 1, y + 4], @pdf.width_of(text, size: 6.5) + 2, 9
        @pdf.fill_color INK
        word(text, at, y)
      end

      def word(text, at, y)
        @pdf.text_box(text, at: [at, y + 3], width: 60, height: 8, size: 6.5, overflow: :shrink_to_fit)
      end

      def here?(from) = from >= @counts.first.to_i && from < last

      # What of a span lies on these counts.
      def within(spans)
        spans.each do |from, to, *rest|
          first = [from, @counts.first.to_i].max
          ends = [to, last].min
          yield(first, ends, *rest) if ends > first
        end
      end
    end
    private_constant :Strip
  end
end
