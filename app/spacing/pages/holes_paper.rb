# frozen_string_literal: true

module App
  module Spacing
    module Pages
      # The hole sheet on paper: link by link who is missing, who closes up, who could cover.
      class HolesPaper < Holes
        Print = Formats::Print
        private_constant :Print

        # Formats::Print::Sheet
        def paper
          names = out.map { |person| posted.of(person) }.join(", ")
          Print::Sheet.new(
            title: I18n.t("papers.holes"), lines: [[piece.title, names].reject(&:empty?).join(" · ")], blocks:,
            foot: Shared::Paper.foot(piece.studio, now, piece.title)
          )
        end

        def name(id) = people[id] ? posted.of(people[id]) : "?"

        private

        def posted = @posted ||= Shared::PostedNames.new(people.values)

        def blocks
          return [Print::Words.new(text: I18n.t("papers.nobody_missed"))] if places.empty? && pointless.empty?

          [table, *lost]
        end

        def table
          columns = [["link", 20], ["missing", 22], ["close_up", 32], ["could_cover", 30]]
          Print::Table.new(columns: Shared::Paper.headed(*columns), rows: places.map { |place| row(place) }, bold: 0)
        end

        def row(place)
          missing = place.missing.map { |id| name(id) }
          leaders = place.leaderless.map { |group, _| I18n.t("papers.leaderless", group: group_name(group)) }
          ["#{place.placed.index}. #{place.placed.name}", [missing.join(", "), *leaders].join("\n"), closing(place),
           covers_text(place)]
        end

        def closing(place)
          return I18n.t("papers.no_spots") if place.spots.empty?
          return I18n.t("papers.leave_hole") if place.moves.empty?

          place.moves.map { |move| move_text(move) }.join(", ")
        end

        def lost
          return [] if pointless.empty?

          items = pointless.map do |slot|
            "#{Shared::Dates.day(slot.rehearsal.date)}, #{Formats::Times.clock(slot.start_minute)}: #{slot.title}"
          end
          [Print::Heading.new(I18n.t("papers.pointless")), Print::Points.new(items)]
        end
      end
    end
  end
end
