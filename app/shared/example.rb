# frozen_string_literal: true

module App
  module Shared
    # What an empty screen will say, drawn as a pencilled sheet: rows of made-up sample data, each
    # "left | text | share", the share (0 to 100, may be left out) as a bar.
    module Example
      WIDTH = 520
      ROW = 34
      TOP = 58
      LEFT = 112
      BAR = 120
      private_constant :WIDTH, :ROW, :TOP, :LEFT, :BAR

      module_function

      # screen: a key of `examples` in the locale file.
      def svg(screen)
        rows = I18n.t("examples.#{screen}.rows").map { |row| row.split(" | ") }
        height = TOP + (rows.size * ROW) + 14
        Drawing.drawing(
          WIDTH, height, sheet(height) + head(screen) + rows.each_with_index.map { |row, i| row(row, i) }.join,
          label: I18n.t("examples.label", what: I18n.t("examples.#{screen}.title")), class: "example"
        )
      end

      def sheet(height)
        Drawing.tag(:rect, x: 2, y: 2, width: WIDTH - 4, height: height - 4, rx: 8, class: "example-sheet")
      end

      def head(screen)
        Drawing.text(I18n.t("examples.#{screen}.title"), x: 20, y: 32, class: "example-title") +
          Drawing.text(I18n.t("examples.tag"), x: WIDTH - 20, y: 32, text_anchor: "end", class: "example-tag")
      end

      def row((left, text, share), index)
        y = TOP + (index * ROW)
        Drawing.tag(:line, x1: 20, x2: WIDTH - 20, y1: y - 8, y2: y - 8, class: "example-line") +
          Drawing.text(left, x: 20, y: y + 15, class: "example-left") +
          Drawing.text(text, x: LEFT, y: y + 15, class: "example-text") + bar(share, y)
      end

      def bar(share, top)
        return "" unless share

        x = WIDTH - 20 - BAR
        Drawing.tag(:rect, x:, y: top + 6, width: BAR, height: 8, rx: 4, class: "example-bar") +
          Drawing.tag(:rect, x:, y: top + 6, width: BAR * share.to_i / 100, height: 8, rx: 4, class: "example-have")
      end
      private_class_method :sheet, :head, :row, :bar
    end
  end
end
