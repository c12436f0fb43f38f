# frozen_string_literal: true

module Formats
  # A table as comma-separated values: UTF-8 with the mark that spreadsheets look for. What comes in may be of any
  # common separator, letters and line ends.
  module Csv
    MARK = "\uFEFF"

    # Bytes => [Rows::Row], a row a record; cells nil where a line cannot be read. Raises FaultyFile where it is no
    # text.
    def self.parse(source) = Rows.new(Letters.of(source)).all

    # The text in a file's bytes. Raises FaultyFile where it is none.
    def self.text(bytes) = Letters.of(bytes)

    # Table => bytes of CSV.
    def self.render(table)
      MARK + CSV.generate do |csv|
        csv << table.columns.map { |heading| safe(heading) }
        table.rows.each { |row| csv << row.map { |cell| written(cell) } }
      end
    end

    # A text that a spreadsheet would take for a formula gets a leading apostrophe.
    def self.safe(text) = text.to_s.match?(/\A[=+\-@\t\r]/) ? "'#{text}" : text.to_s

    def self.written(cell) = cell.nil? || cell.is_a?(Numeric) ? cell : safe(cell)
    private_class_method :written
  end
end

require_relative "csv/letters"
require_relative "csv/rows"
