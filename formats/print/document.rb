# frozen_string_literal: true

module Formats
  module Print
    # Lays a sheet out on pages. Blocks draw themselves through it.
    class Document
      MARGIN = [40, 42, 52, 42].freeze
      INK = "111111"

      attr_reader :pdf

      def initialize(sheet, paper:, fonts:)
        @sheet = sheet
        @pdf = Prawn::Document.new(
          page_size: PAPERS.fetch(paper), page_layout: sheet.wide ? :landscape : :portrait, margin: MARGIN,
          compress: true,
          info: { Title: sheet.title, Creator: "Join Chain" }
        )
        letters(fonts)
      end

      def render
        @pdf.fill_color INK
        head
        @sheet.blocks.each { |block| block.draw(self) }
        foot
        @pdf.render
      end

      def width = @pdf.bounds.width

      # Begins a new page where there is not so much room left on this one.
      def room(points)
        @pdf.start_new_page if !@inside && @pdf.cursor < points && @pdf.cursor < @pdf.bounds.top - 1
      end

      def turn = @pdf.start_new_page
      def gap(points) = @pdf.move_down(points)

      def line
        @pdf.stroke_color "dddddd"
        @pdf.line_width 0.4
        @pdf.stroke_horizontal_rule
        gap(5)
      end

      def words(text, size: 10, style: :normal, colour: INK, indent: 0)
        @pdf.fill_color colour
        @pdf.indent(indent) { @pdf.text(plain(text), size:, style:, leading: 1.5) }
        @pdf.fill_color INK
      end

      def point(text)
        room(16)
        @pdf.text_box("•", at: [0, @pdf.cursor], size: 10, width: 10)
        words(text, indent: 10)
        gap(1.5)
      end

      # Two stacks of blocks side by side.
      def beside(left, right)
        page = @pdf.page_number
        top = @pdf.cursor
        half = (width - 24) / 2.0
        @inside = true
        ends = [[left, 0], [right, half + 24]].map do |blocks, at|
          @pdf.go_to_page(page)
          stack(blocks, [at, top], half)
        end
        @inside = false
        last = ends.map(&:first).max
        @pdf.go_to_page(last)
        @pdf.move_cursor_to(ends.select { |reached, _| reached == last }.map(&:last).min)
      end

      def picture(svg)
        gap(4)
        across, down = svg[/viewBox="([^"]+)"/, 1].split.last(2).map(&:to_f)
        most = @pdf.bounds.height - 70
        fit = [width, most * across / down].min
        room(fit * down / across)
        @pdf.svg(svg, width: fit, enable_web_requests: false)
        gap(6)
      end

      # A code for a camera, with words beside it.
      def code(modules, label)
        size = 90.0
        room(size + 12)
        top = @pdf.cursor
        dot = size / modules.size
        @pdf.fill_color "000000"
        modules.each_with_index do |row, y|
          row.each_with_index do |dark, x|
            @pdf.fill_rectangle([x * dot, top - (y * dot)], dot + 0.05, dot + 0.05) if dark
          end
        end
        @pdf.fill_color INK
        @pdf.text_box(plain(label), at: [size + 14, top], width: width - size - 14, height: size, size: 9)
        @pdf.move_cursor_to(top - size - 8)
      end

      private

      def letters(fonts)
        @pdf.font_families.update(
          "Lato" => { normal: fonts.fetch(:regular), bold: fonts.fetch(:bold) },
          "text" => { normal: fonts.fetch(:regular), bold: fonts.fetch(:bold) },
          "other" => { normal: fonts.fetch(:other), bold: fonts.fetch(:other) }
        )
        @pdf.font("text")
        @pdf.fallback_fonts(["other"])
      end

      def head
        words(@sheet.title, size: 19, style: :bold)
        @sheet.lines.each { |text| words(text, size: 10, colour: "444444") }
        gap(6)
      end

      def foot
        @pdf.repeat(:all) do
          @pdf.fill_color "666666"
          @pdf.text_box(plain(@sheet.foot), at: [0, -14], width: width - 80, height: 12, size: 7.5,
                                            overflow: :shrink_to_fit)
          @pdf.fill_color INK
        end
        @pdf.number_pages("<page> / <total>", at: [width - 70, -14], width: 70, align: :right, size: 7.5,
                                              color: "666666")
      end

      def stack(blocks, at, wide)
        @pdf.bounding_box(at, width: wide) { blocks.each { |block| block.draw(self) } }
        [@pdf.page_number, @pdf.cursor]
      end

      def plain(text) = text.to_s.gsub(/[[:cntrl:]&&[^\n]]/, " ")
    end
    private_constant :Document
  end
end
