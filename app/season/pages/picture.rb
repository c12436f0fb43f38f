# frozen_string_literal: true

module App
  module Season
    module Pages
      # The build of a season: evenings across, a row a piece; a bar is how much of the evening the piece works, a ring
      # a full run, the line after it the show. An evening nobody is called on is a dashed column.
      class Picture
        SIDE = 150
        HEAD = 34
        ROW = 44
        WIDTH = 848
        Drawing = Shared::Drawing
        private_constant :Drawing

        def initialize(page) = @page = page

        def svg
          Drawing.drawing(width, height, grid + empties + heads + rows, label:, class: "build season")
        end

        private

        def columns = @page.rehearsals
        def pieces = @page.pieces
        def width = SIDE + (step * columns.size) + 24
        def height = HEAD + (ROW * pieces.size) + 4
        def step = @step ||= ((WIDTH - SIDE) / [columns.size, 1].max.to_f).clamp(16, 60)
        def x(column) = SIDE + (step * column)

        def label
          empty = columns.count { |each| @page.empty?(each) }
          I18n.t("season.picture", pieces: pieces.size, count: columns.size, empty:)
        end

        def grid
          (0..pieces.size).map do |row|
            Drawing.tag(:line, x1: 0, x2: width, y1: HEAD + (ROW * row), y2: HEAD + (ROW * row), class: "grid")
          end.join
        end

        def empties
          columns.each_index.select { |i| @page.empty?(columns[i]) }.map do |i|
            Drawing.tag(:rect, x: x(i) + 2, y: HEAD + 3, width: step - 4, height: (ROW * pieces.size) - 6, rx: 3,
                               class: "nobody")
          end.join
        end

        # Days, thinned where they would touch, with the month over the first of each.
        def heads
          every = 20.fdiv(step).ceil
          columns.each_with_index.map do |rehearsal, i|
            date = rehearsal.date
            named = i.zero? || columns[i - 1].date.month != date.month
            (named ? head(i, 12, "month", Shared::Dates.month(date)) : "") +
              ((i % every).zero? ? head(i, 28, "head", date.day.to_s) : "")
          end.join
        end

        def head(column, top, kind, words)
          Drawing.text(words, x: x(column + 0.5), y: top, text_anchor: "middle", class: kind)
        end

        def rows
          pieces.each_with_index.map { |piece, row| name(piece, row) + bars(piece, row) + show(piece, row) }.join
        end

        def name(piece, row)
          short = piece.title.length > 20 ? "#{piece.title[0, 19]}…" : piece.title
          Drawing.text(short, x: 0, y: HEAD + (ROW * (row + 0.6)), class: "row-name")
        end

        def bars(piece, row)
          own = @page.load.fetch(piece.id, []).group_by(&:rehearsal_id)
          columns.each_with_index.map { |rehearsal, i| bar(rehearsal, i, row, own.fetch(rehearsal.id, [])) }.join
        end

        def bar(rehearsal, column, row, slots)
          return "" if slots.empty?

          bottom = HEAD + (ROW * (row + 1)) - 4
          tall = ((ROW - 12) * [slots.sum(&:minutes).fdiv(rehearsal.minutes), 1].min).clamp(4, ROW)
          tip = "#{Shared::Dates.day(rehearsal.date)}: #{slots.map(&:title).uniq.join(', ')}"
          Drawing.tag(:rect, Drawing.title(tip), x: x(column) + 2, y: bottom - tall, width: step - 4, height: tall,
                                                 rx: 2, class: "work") + ring(column, row, slots)
        end

        def ring(column, row, slots)
          return "" if slots.none? { |slot| slot.kind == "run" }

          Drawing.tag(:circle, cx: x(column + 0.5), cy: HEAD + (ROW * row) + 9, r: 4.5, class: "run-ring")
        end

        # After the last evening before it.
        def show(piece, row)
          return "" unless piece.show_date

          before = columns.count { |rehearsal| rehearsal.date <= piece.show_date }
          return "" if before.zero?

          tip = Drawing.title(I18n.t("season.show", day: Shared::Dates.day(piece.show_date)))
          top = HEAD + (ROW * row)
          Drawing.tag(:line, tip, x1: x(before), x2: x(before), y1: top + 4, y2: top + ROW - 4, class: "show")
        end
      end
    end
  end
end
