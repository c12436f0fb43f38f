# frozen_string_literal: true

module App
  module People
    # What was pasted or uploaded, read with whom the studio knows.
    module RosterText
      module_function

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
