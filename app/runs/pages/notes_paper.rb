# frozen_string_literal: true

module App
  module Runs
    module Pages
      # The notes round on paper: what is to be given to everyone and to groups, then to individuals, with a box to
      # tick.
      class NotesPaper < Notes
        Print = Formats::Print
        private_constant :Print

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(
            title: I18n.t("notes.title", piece: piece.title), lines: [head], blocks:,
            foot: Shared::Paper.foot(piece.studio, now, piece.title)
          )
        end

        # It may hang on a wall.
        def whom(row) = row.about == "person" && row.person ? posted.of(row.person) : super

        private

        def posted = @posted ||= Shared::PostedNames.new(people.values)

        def head
          count = halves.sum(&:size)
          [I18n.t("papers.notes_to_give", count:), I18n.t("papers.minutes", count: minutes),
           (run_name(run) if run)].compact.join(" · ")
        end

        def blocks
          everyone, individuals = halves
          [
            *part(I18n.t("notes.to_everyone"), everyone), *part(I18n.t("notes.to_individuals"), individuals),
            *part(I18n.t("notes.given_before"), given), *part(I18n.t("notes.watched"), watched)
          ]
        end

        # "☐  fix · Nurses · Smoke, eight 2"
        def about_line(row)
          "☐  #{[I18n.t("notes.kinds.#{row.kind}"), whom(row), place(row)].compact.join(' · ')}"
        end

        def part(title, rows)
          return [] if rows.empty?

          [Print::Heading.new(title), Print::Told.new(rows.map { |row| [about_line(row), row.text] })]
        end
      end
    end
  end
end
