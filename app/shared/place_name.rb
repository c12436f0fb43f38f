# frozen_string_literal: true

module App
  module Shared
    # How a place in the piece is called: "Smoke, eight 2, count 5".
    module PlaceName
      module_function

      # link: Records::Link; place: {row:, at:}, at in twelfths.
      def of(link, place)
        count = (place[:at].to_i / Records::Note::TWELFTHS) + 1
        same = link.piece.links.select { |other| other.section_id == link.section_id }
        name = named(link.section.name, same.index(link) + 1, same.size)
        I18n.t("runs.place", name:, eight: place[:row], count:)
      end

      # Which of several places of a section it is: "Comb (2 of 2)"; its name alone where there is one.
      def named(name, number, all) = all > 1 ? I18n.t("runs.named", name:, n: number, of: all) : name
      def link_name(placed) = named(placed.name, placed.occurrence, placed.occurrences)

      # "Smoke, eight 2", "Smoke, eights 2 to 4", "Waggle Line, eight 6 to Smoke, eight 1". from, to: [placed link,
      # eight].
      def span(from, to)
        first, last = [from, to].map { |placed, row| I18n.t("runs.eight", name: link_name(placed), eight: row) }
        return first if from == to
        return I18n.t("runs.from_to", from: first, to: last) unless from.first == to.first

        I18n.t("runs.eights", name: link_name(from.first), from: from.last, to: to.last)
      end

      # The same of a count of the piece. order: Core::Piece::RunningOrder.
      def at(order, eights, count)
        link, eight, number = eights.place_of(count)
        link && I18n.t("runs.place", name: link_name(order.links[link - 1]), eight:, count: number)
      end
    end
  end
end
