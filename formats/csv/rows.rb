# frozen_string_literal: true

module Formats
  module Csv
    # The rows of a text of separated values: each with the lines it stands on and its cells, or nil where it cannot be
    # read. A cell in quotation marks may go over a line; a mark that is left open takes its own line with it and no
    # other.
    class Rows
      # So many lines a cell may go over.
      LONGEST = 4
      # So many lines are read; those behind are one row that cannot be.
      MOST = 5_000
      Row = Struct.new(:lines, :cells, :text) do
        def with_cells(cells, lines: self.lines) = self.class.new(lines, cells, text)
      end

      def initialize(text)
        @lines = text.split("\n", -1)
        @lines.pop if @lines.last == ""
        @separator = separator
      end

      # [Row, …], those of empty lines too, in order. Together they cover every line once.
      def all
        rows = []
        at = 0
        while at < [@lines.size, MOST].min
          rows << row(at)
          at += rows.last.lines.size
        end
        rows << Row.new((at + 1)..@lines.size, nil, "") if at < @lines.size
        rows
      end

      private

      def separator
        ["\t", ";", ","].max_by do |mark|
          [@lines.first(20).count { |line| line.include?(mark) }, mark == "," ? 1 : 0]
        end
      end

      def row(at)
        return plain(at) unless @lines[at].include?('"')

        (1..LONGEST).each do |count|
          break if at + count > @lines.size

          text = @lines[at, count].join("\n")
          cells = quoted(text)
          return made(at, count, cells, text) if cells && sound?(cells)
          break unless cells.nil?
        end
        loose(at)
      end

      def plain(at) = made(at, 1, @lines[at].split(@separator, -1), @lines[at])

      # Cells of a text with quotation marks; nil while one is open.
      def quoted(text)
        CSV.parse_line(text, col_sep: @separator, row_sep: "\r", strip: false)
      rescue CSV::MalformedCSVError => e
        e.message.include?("Unclosed") ? nil : []
      end

      # A line that went on into the next one's columns was not meant to go on.
      def sound?(cells)
        cells.any? && cells.none? { |cell| cell.to_s.include?("\n") && cell.to_s.include?(@separator) }
      end

      # Quotation marks inside a cell, as in a name somebody goes by, are letters; one alone is a slip.
      def loose(at)
        text = @lines[at]
        cells = text.split(@separator, -1)
        made(at, 1, (cells if cells.all? { |cell| cell.count('"').even? }), text)
      end

      def made(at, count, cells, text)
        Row.new((at + 1)..(at + count), cells&.map { |cell| clean(cell.to_s) }, text)
      end

      # A spreadsheet's apostrophe before what it would take for a formula is not part of a name.
      def clean(cell) = cell.gsub(/\s+/, " ").strip.sub(/\A'(?=[=+\-@])/, "")
    end
  end
end
