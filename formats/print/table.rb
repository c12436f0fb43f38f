# frozen_string_literal: true

module Formats
  module Print
    # A table: columns: [Column]; rows: lists of texts. bold: number of the column that stands out; fine: smaller
    # letters, for many columns. Its heading stands again on every page it goes on to.
    Table = Struct.new(:columns, :rows, :bold, :fine, keyword_init: true) do
      # So many letters of a cell are set at once: a cell that is longer goes on in a row of its own, since a row
      # cannot be broken over two pages.
      const_set(:LONGEST, 700)

      def texts = columns.map(&:heading) + rows.flatten.map(&:to_s)

      def draw(page)
        page.gap(2)
        page.pdf.table(
          [columns.map(&:heading), *rows.flat_map { |row| pieces(row) }],
          header: true, width: page.width, column_widths: widths(page.width), cell_style: style
        ) { |table| dress(table) }
        page.gap(6)
      end

      private

      def style
        { borders: [:bottom], border_width: 0.4, border_color: "bbbbbb", size: fine ? 7 : 9,
          padding: fine ? [2, 2, 2, 2] : [3, 6, 3, 2], overflow: :shrink_to_fit, min_font_size: 4 }
      end

      def dress(table)
        heading = table.row(0)
        heading.font_style = :bold
        heading.padding = fine ? [1, 2, 3, 2] : [1, 6, 4, 2]
        heading.size = fine ? 6.5 : 8
        heading.text_color = "444444"
        heading.valign = :bottom
        heading.border_color = "333333"
        table.column(bold).style { |cell| cell.font_style = :bold } if bold
        columns.each_with_index { |column, i| table.column(i).align = column.align || :left }
      end

      def widths(whole)
        all = columns.sum(&:share).to_f
        columns.map { |column| whole * column.share / all }
      end

      # A row as one or more that fit on a page.
      def pieces(row)
        cut = row.map { |cell| parts(cell.to_s.gsub(/[[:cntrl:]&&[^\n]]/, " ")) }
        Array.new(cut.map(&:size).max) { |i| cut.map { |cell| cell[i] || "" } }
      end

      def parts(text)
        return [text] if text.size <= self.class::LONGEST

        found = [+""]
        text.split(/(?<= )/).each do |word|
          found << +"" if found.last.size + word.size > self.class::LONGEST && !found.last.empty?
          found.last << word
        end
        found.flat_map { |part| part.scan(/.{1,#{self.class::LONGEST}}/m) }
      end
    end
  end
end
