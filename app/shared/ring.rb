# frozen_string_literal: true

module App
  module Shared
    # The ring of a cell: closes by a fifth a rung, filled once it counts as learned, broken when fading.
    module Ring
      module_function

      # way: what makes it count as learned.
      def classes(cell, ladder, today, way = Core::Learning::Way::DEFAULT)
        found = ["r#{cell.rung}"]
        found << "learned" if way.learned?(cell, ladder)
        if cell.rung >= Core::Learning::Cell::TEMPO && %i[fading rusty].include?(cell.freshness(today))
          found << "fading"
        end
        found << "changed" if cell.changed
        found << "reported" if cell.reported.positive?
        found.join(" ")
      end

      def word(rung) = I18n.t("rungs")[rung]
    end
  end
end
