# frozen_string_literal: true

module App
  module Shared
    # What was pasted, or the text of a file: of a workbook its first sheet, as lines with tabs.
    module SheetText
      module_function

      # params: {"text", "file"}. Raises Formats::FaultyFile where the file is neither text nor a workbook.
      def of(params)
        file = params["file"]
        return params["text"].to_s unless file.is_a?(Hash) && file[:tempfile]&.size&.positive?

        bytes = file[:tempfile].read
        bytes.start_with?("PK") ? of_workbook(bytes) : Formats::Csv.text(bytes)
      end

      def of_workbook(bytes)
        sheet = Confined.read_bytes("workbook", bytes).first or return ""
        [sheet["columns"], *sheet["rows"]].map { |row| row.map { |cell| cell.gsub(/\s+/, " ") }.join("\t") }.join("\n")
      rescue Confined::TooMuch
        raise Formats::FaultyFile, [I18n.t("errors.workbook_too_much")]
      end
    end
  end
end
