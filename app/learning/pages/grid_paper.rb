# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Who has it, for the wall: dancers by first name and initial, a column for every section and join; a rung is its
      # number, learned stands out, what fades or changed has a mark.
      class GridPaper < Grid
        Print = Formats::Print
        private_constant :Print
        # So many columns stand on a page beside the names.
        ACROSS = 16

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(
            title: I18n.t("papers.who_has_it", piece: piece.title), lines: [summary, legend], blocks:, wide: true,
            foot: Shared::Paper.foot(piece.studio, now, piece.title)
          )
        end

        private

        def legend
          named = rungs.each_with_index.map { |name, i| "#{i} #{name}" }.join(", ")
          "#{named}. #{I18n.t('papers.grid_marks')}"
        end

        def blocks
          return [Print::Words.new(text: I18n.t("papers.nobody_yet"))] if dancers.empty? || columns.empty?

          parts = columns.each_slice(ACROSS).to_a
          parts.each_with_index.flat_map { |some, i| i.zero? ? [table(some)] : [Print::Break.new, table(some)] }
        end

        def table(some)
          Print::Grid.new(
            corner: I18n.t("papers.columns.who"), headings: some.map(&:name), first: 0.12,
            rows: [*dancers.map { |person| row_of(person, some) }, totals(some)]
          )
        end

        def row_of(person, some) = [posted.of(person), some.map { |column| cell_of(person.id, column) }]

        def cell_of(id, column)
          return "" unless dances?(id, column.item)

          cell = progress.cell(id, column.item.key)
          states = Shared::Ring.classes(cell, ladder, today, progress.way(column.item.key)).split
          marks = { "learned" => "●", "fading" => "~", "changed" => "!" }.slice(*states).values.join
          "#{cell.rung}#{marks}"
        end

        def totals(some)
          [I18n.t("papers.have_it"), some.map { |column| I18n.t("papers.of", have: column.have, of: column.of) }]
        end

        def posted = @posted ||= Shared::PostedNames.new(dancers)
      end
    end
  end
end
