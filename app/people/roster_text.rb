# frozen_string_literal: true

module App
  module People
    # What was pasted or uploaded: as text, and read with whom the studio knows.
    module RosterText
      module_function

      # The text of a form. Raises Formats::FaultyFile where the file is none.
      def from(params)
        file = params["file"]
        return params["text"].to_s unless file.is_a?(Hash) && file[:tempfile]&.size&.positive?

        Formats::Roster.text(file[:tempfile].read)
      end

      def read(studio, piece, text)
        Formats::Roster.parse(
          text,
          known_people: studio.people.pluck(:name),
          known_groups: piece ? piece.groups.map(&:name) : [],
          most_groups: (Records::Group::MOST if piece)
        )
      end
    end
  end
end
