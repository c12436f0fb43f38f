# frozen_string_literal: true

module Formats
  module Print
    # A grid of short marks: corner, headings over its columns, rows: [[name, [mark, …]], …]. For hundreds of
    # names, where a table would take minutes: a mark is set as it is, in one line. first: how wide the names stand,
    # of the whole.
    Grid = Struct.new(:corner, :headings, :rows, :first, keyword_init: true) do
      def texts = [corner, *headings, *rows.flatten]
      def draw(page) = Marks.new(self, page).draw
    end

    # Draws a grid.
    class Marks
      HEAD = 30
      ROW = 11.5
      SIZE = 7.5
      CHALK = "cccccc"

      def initialize(grid, page)
        @grid = grid
        @page = page
        @pdf = page.pdf
        @wide = {}
      end

      def draw
        @page.room(HEAD + (ROW * 3))
        head
        @grid.rows.each { |name, marks| row(name, marks) }
        @page.gap(6)
      end

      private

      def names = @page.width * @grid.first
      def column = @column ||= (@page.width - names) / [@grid.headings.size, 1].max

      def head
        top = @pdf.cursor
        box(@grid.corner, 0, top, names, :bold)
        @grid.headings.each_with_index { |heading, i| box(heading, names + (i * column), top, column, :bold, :center) }
        @pdf.move_cursor_to(top - HEAD)
        rule("333333")
      end

      def box(text, left, top, wide, style = :normal, align = :left)
        @pdf.text_box(
          text.to_s, at: [left, top], width: wide - 2, height: HEAD - 3, size: 6.5, style:, align:, valign: :bottom,
                     overflow: :shrink_to_fit, min_font_size: 3.5
        )
      end

      def row(name, marks)
        if @pdf.cursor < ROW
          @pdf.start_new_page
          head
        end
        top = @pdf.cursor
        named(name.to_s, top)
        marks.each_with_index { |mark, i| set(mark, names + (i * column), top - ROW + 3) unless mark.empty? }
        @pdf.move_cursor_to(top - ROW)
        rule(CHALK)
      end

      # Names may be in any letters, which a text box finds the font for.
      def named(name, top)
        @pdf.text_box(name, at: [0, top - 2], width: names - 4, height: ROW - 2, size: SIZE, style: :bold,
                            overflow: :shrink_to_fit, min_font_size: 4, single_line: true)
      end

      # A mark, in the middle of its column.
      def set(mark, left, base)
        wide = @wide[mark] ||= @pdf.width_of(mark, size: SIZE)
        @pdf.draw_text(mark, at: [left + ((column - wide) / 2), base], size: SIZE)
      end

      def rule(colour)
        @pdf.stroke_color colour
        @pdf.line_width 0.3
        @pdf.stroke_horizontal_rule
      end
    end
    private_constant :Marks
  end
end
