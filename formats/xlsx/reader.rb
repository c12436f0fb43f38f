# frozen_string_literal: true

module Formats
  module Xlsx
    # Reads a workbook as texts. What a small file would blow up to is looked at before anything is unpacked.
    class Reader
      MAX_BYTES = 10 * 1024 * 1024
      MAX_UNPACKED = 60 * 1024 * 1024
      MAX_ENTRIES = 1000
      MAX_SHEETS = 20
      MAX_ROWS = 5000
      MAX_COLUMNS = 200
      START = "PK\x03\x04".b

      def initialize(bytes) = @bytes = bytes.to_s.b

      def tables
        refuse "is no workbook" unless @bytes.start_with?(START)
        refuse "is larger than 10 MB" if @bytes.bytesize > MAX_BYTES
        look_inside
        read
      rescue FaultyFile
        raise
      rescue StandardError
        # Whatever the two libraries trip over in a broken file: it is no workbook.
        refuse "cannot be read as a workbook: save it once more as .xlsx, or as CSV"
      end

      private

      def refuse(why) = raise(FaultyFile, ["the file: #{why}"])

      def look_inside
        Zip::File.open_buffer(StringIO.new(@bytes)) do |zip|
          entries = zip.entries
          refuse "holds too many parts" if entries.size > MAX_ENTRIES
          refuse "unpacks to more than 60 MB" if entries.sum(&:size) > MAX_UNPACKED
          refuse "holds a part whose name leads out of it" if entries.any? { |entry| entry.name.include?("..") }
        end
      end

      def read
        book = Roo::Excelx.new(StringIO.new(@bytes), disable_html_wrapper: true)
        book.sheets.first(MAX_SHEETS).filter_map { |name| table(name, book.sheet(name)) }
      ensure
        book&.close
      end

      def table(name, sheet)
        return if sheet.first_row.nil?

        last = [sheet.last_row, MAX_ROWS].min
        across = [sheet.last_column, MAX_COLUMNS].min
        cut = sheet.last_row > MAX_ROWS || sheet.last_column > MAX_COLUMNS
        refuse "has more than #{MAX_ROWS} rows or #{MAX_COLUMNS} columns in #{name.inspect}" if cut
        rows = (1..last).map { |row| (1..across).map { |column| text(sheet.cell(row, column)) } }
        Table.new(name:, columns: rows.first, rows: rows.drop(1))
      end

      # A cell as it would be typed.
      def text(value)
        case value
        when nil then ""
        when Float then value.finite? && value == value.to_i ? value.to_i.to_s : value.to_s
        when true then "yes"
        when false then "no"
        else value.to_s.scrub("?")
        end
      end
    end
    private_constant :Reader
  end
end
