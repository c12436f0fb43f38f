# frozen_string_literal: true

module App
  module Shared
    # Tables as a file for a spreadsheet.
    module TableFile
      TYPES = {
        "csv" => "text/csv; charset=utf-8",
        "xlsx" => "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"
      }.freeze

      module_function

      # kind: a key of TYPES; a file of separated values holds the first table alone.
      def write(kind, tables)
        kind == "csv" ? Formats::Csv.render(tables.first) : Formats::Xlsx.render(tables)
      end

      # "who-has-it-ninety-thousand-wings.csv"
      def name(words, kind)
        plain = I18n.transliterate(words.join(" "), replacement: " ").downcase
        "#{plain.gsub(/[^a-z0-9]+/, '-').gsub(/\A-|-\z/, '')}.#{kind}"
      end
    end
  end
end
