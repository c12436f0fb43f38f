# frozen_string_literal: true

require "date"
require "stringio"
require "zip"
require "axlsx"
require "roo"
require_relative "formats"
require_relative "xlsx/reader"

# A file with an odd date in it is no reason to print.
Zip.warn_invalid_date = false

module Formats
  # A workbook of a spreadsheet program (Office Open XML), with caxlsx and roo.
  module Xlsx
    WIDEST = 60
    # What a sheet's name may not hold, and how long it may be.
    FORBIDDEN = %r{[\[\]*?/\\:]}
    LONGEST = 31

    # Bytes => [Table], a sheet each, of texts as they are shown; the first row is the columns. Raises FaultyFile.
    def self.parse(bytes) = Reader.new(bytes).tables

    # [Table] => bytes. No cell is ever a formula.
    def self.render(tables)
      package = Axlsx::Package.new
      package.workbook.escape_formulas = true
      names(tables).zip(tables) { |name, table| sheet(package.workbook, name, table) }
      package.to_stream.string
    end

    # [Table] => as many sheet names: allowed, no two the same.
    def self.names(tables)
      tables.each_with_object([]) do |table, taken|
        wanted = table.name.gsub(FORBIDDEN, " ").strip[0, LONGEST].sub(/\A'+|'+\z/, "")
        wanted = "Sheet" if wanted.empty?
        name = wanted
        number = 1
        name = "#{wanted[0, LONGEST - 4]} #{number += 1}" while taken.any? { |other| other.casecmp?(name) }
        taken << name
      end
    end

    def self.sheet(workbook, name, table)
      heading = workbook.styles.add_style(b: true)
      day = workbook.styles.add_style(format_code: "yyyy-mm-dd")
      workbook.add_worksheet(name:) do |sheet|
        sheet.add_row(table.columns, style: heading, types: table.columns.map { :string })
        table.rows.each do |row|
          sheet.add_row(row.map { |cell| plain(cell) }, style: styles(row, day), types: row.map { |cell| type(cell) })
        end
        sheet.sheet_view.pane { |pane| freeze_heading(pane) }
        sheet.column_widths(*widths(table))
      end
    end

    def self.freeze_heading(pane)
      pane.top_left_cell = "A2"
      pane.state = :frozen_split
      pane.y_split = 1
      pane.active_pane = :bottom_left
    end

    def self.plain(cell) = cell.is_a?(String) ? cell.gsub(/[[:cntrl:]&&[^\n\t]]/, "")[0, 32_000] : cell
    def self.styles(row, day) = row.map { |cell| day if cell.is_a?(Date) }

    def self.type(cell)
      case cell
      when Integer then :integer
      when Numeric then :float
      when Date then :date
      else :string
      end
    end

    def self.widths(table)
      table.columns.each_index.map do |i|
        [table.columns[i], *table.rows.first(200).map { |row| row[i] }].map { |cell| cell.to_s.size }.max
          .clamp(4, WIDEST) + 2
      end
    end
    private_class_method :names, :sheet, :freeze_heading, :plain, :styles, :type, :widths
  end
end
