# frozen_string_literal: true

module App
  module People
    # What was pasted or uploaded: as text, and read with whom the studio knows.
    module RosterText
      module_function

      # The text of a form: what was pasted, or the file's; the first sheet of a workbook as lines with tabs. Raises
      # Formats::FaultyFile where the file is neither.
      def from(params)
        file = params["file"]
        return params["text"].to_s unless file.is_a?(Hash) && file[:tempfile]&.size&.positive?

        bytes = file[:tempfile].read
        bytes.start_with?("PK") ? of_workbook(bytes) : Formats::Roster.text(bytes)
      end

      def of_workbook(bytes)
        sheet = Formats::Xlsx.parse(bytes).first or return ""
        [sheet.columns, *sheet.rows].map { |row| row.map { |cell| cell.gsub(/\s+/, " ") }.join("\t") }.join("\n")
      end

      # by_hand: {columns:, heading:} as the form says it, or nothing.
      def by_hand(params)
        said = params["columns"].to_h.filter_map do |number, kind|
          [kind.to_sym, number.to_i] if number.match?(/\A\d{1,2}\z/) && Formats::Roster::KINDS.include?(kind.to_sym)
        end
        said.empty? ? {} : { columns: said.to_h, heading: params["heading"] == "1" }
      end

      def read(studio, piece, text, by_hand = {})
        Formats::Roster.parse(
          text,
          **by_hand,
          known_people: studio.people.pluck(:name),
          known_groups: piece ? piece.groups.map(&:name) : [],
          most_groups: (Records::Group::MOST if piece)
        )
      end
    end
  end
end
