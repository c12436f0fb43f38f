# frozen_string_literal: true

module App
  module Shared
    # The ring of a cell: closes by a fifth a rung, filled once it counts as learned, broken when fading.
    module Ring
      module_function

      def classes(cell, ladder, today)
        found = ["r#{cell.rung}"]
        found << "learned" if ladder.learned?(cell.rung)
        if cell.rung >= Core::Learning::Cell::TEMPO && %i[fading rusty].include?(cell.freshness(today))
          found << "fading"
        end
        found << "changed" if cell.changed
        found.join(" ")
      end

      def word(rung) = I18n.t("rungs")[rung]
    end
  end
end
