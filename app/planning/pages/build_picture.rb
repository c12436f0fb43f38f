# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The build: the chain down the side, rehearsals across, learning as tape, joins as two rings between rows,
      # chains and runs as bars over all rows they cover.
      class BuildPicture
        SIDE = 150
        HEAD = 56
        ROW = 38
        WIDTH = 848

        def initialize(page) = @page = page

        def width = SIDE + (step * columns.size)
        def height = HEAD + (ROW * links.size) + 40

        def svg
          inner =
            Shared::Tape.patterns(links.map { |link| @page.tape(link.section) }, "build") + past + columns_hit + grid +
            heads + rows + blocks + today
          Shared::Drawing.drawing(
            width,
            height,
            inner,
            label: I18n.t("build.label", links: links.size, rehearsals: columns.size),
            class: "build",
            role: (@page.director? ? "group" : "img")
          )
        end

        private

        def links = @page.order.links
        def columns = @columns ||= @page.rehearsals
        def step = @step ||= ((WIDTH - SIDE) / [columns.size, 1].max.to_f).clamp(30, 90)
        def x(rehearsal_id) = SIDE + (step * index.fetch(rehearsal_id))
        def index = @index ||= columns.each_with_index.to_h { |rehearsal, i| [rehearsal.id, i] }
        def y(row) = HEAD + (ROW * (row - 1))
        def bottom = y(links.size + 1)

        def past
          count = columns.size - @page.open_rehearsals.size
          if count.zero?
            ""
          else
            Shared::Drawing.tag(:rect, x: SIDE, y: HEAD, width: step * count, height: bottom - HEAD, class: "past")
          end
        end

        # Where a slot can be dropped: one invisible column a rehearsal ahead.
        def columns_hit
          open = @page.open_rehearsals
          columns.each_with_index.map do |rehearsal, i|
            if open.include?(rehearsal)
              Shared::Drawing.tag(
                :rect,
                x: SIDE + (step * i),
                y: HEAD,
                width: step,
                height: bottom - HEAD,
                class: "column",
                data_column: rehearsal.id
              )
            else
              ""
            end
          end.join
        end

        # What makes a slot one that can be moved: only slots ahead, and only for directors.
        def handle(slot)
          return {} unless @page.director? && open_ids.include?(slot.rehearsal_id)

          { data_slot: slot.id, data_in: slot.rehearsal_id, tabindex: 0, role: "button", aria_label: tip(slot) }
        end

        def open_ids = @open_ids ||= @page.open_rehearsals.to_set(&:id)
        def pinned(slot) = slot.pinned ? " pinned" : ""

        def grid
          across =
            (1..(links.size + 1)).map do |row|
              Shared::Drawing.tag(:line, x1: 0, x2: width, y1: y(row), y2: y(row), class: "grid")
            end
          down =
            columns.each_index.map do |i|
              Shared::Drawing.tag(
                :line,
                x1: SIDE + (step * i),
                x2: SIDE + (step * i),
                y1: HEAD,
                y2: bottom,
                class: "grid"
              )
            end
          (across + down).join
        end

        # Days of the rehearsals, with the month over the first of each.
        def heads
          columns.each_with_index.map do |rehearsal, i|
            date = rehearsal.date
            same = i.positive? && columns[i - 1].date.month == date.month
            named = same ? "" : head(i, 14, "month", Shared::Dates.month(date))
            named + head(i, 31, "head", date.day.to_s)
          end.join
        end

        def head(column, y, kind, words)
          Shared::Drawing.text(words, x: SIDE + (step * (column + 0.5)), y:, text_anchor: "middle", class: kind)
        end

        def rows
          links.map do |link|
            top = y(link.index)
            Shared::Drawing.tag(
              :rect,
              x: 0,
              y: top + 5,
              width: 8,
              height: ROW - 10,
              fill: Shared::Tape.fill(@page.tape(link.section), "build")
            ) + Shared::Drawing.text(link.name, x: 16, y: top + 23, class: "row-name") + echo(link, top)
          end.join
        end

        def echo(link, top)
          if link.echo == :first
            ""
          else
            Shared::Drawing.text(
              I18n.t("echo.marks.#{link.echo}"),
              x: SIDE - 8,
              y: top + 23,
              text_anchor: "end",
              class: "echo"
            )
          end
        end

        def blocks
          shown = @page.slots.select { |slot| slot.work? && index.key?(slot.rehearsal_id) }
          bars, others = shown.partition { |slot| %w[chain run].include?(slot.kind) }
          @bars = bars.group_by(&:rehearsal_id)
          others.map { |slot| block(slot) }.join +
            @bars.values
              .flat_map do |same|
                same.sort_by(&:start_minute).each_with_index.map { |slot, i| bar(slot, i, same.size) }
              end
              .join
        end

        # The share of a column that lessons and joins have: bars stand beside them.
        def room(slot) = step * (@bars.key?(slot.rehearsal_id) ? 0.48 : 0.62)

        def block(slot)
          return seam(slot) if slot.kind == "join"
          return "" unless slot.from_link&.between?(1, links.size)

          lesson(slot, links[slot.from_link - 1])
        end

        def lesson(slot, link)
          tall = (ROW - 10) * (slot.minutes / 45.0).clamp(0.35, 1)
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title(tip(slot)),
            x: x(slot.rehearsal_id) + 3,
            y: y(link.index) + 5 + ((ROW - 10 - tall) / 2),
            width: room(slot) - 3,
            height: tall,
            fill: Shared::Tape.fill(@page.tape(link.section), "build"),
            class: "lesson #{slot.kind}#{pinned(slot)}",
            **handle(slot)
          )
        end

        def seam(slot)
          return "" unless slot.to_link&.between?(1, links.size)

          cx = x(slot.rehearsal_id) + 1.5 + (room(slot) / 2)
          edge = edge_of(slot)
          Shared::Drawing.tag(
            :g,
            Shared::Drawing.title(tip(slot)) +
              Shared::Drawing.tag(:circle, cx:, cy: edge - 3.5, r: 5.5, class: "seam") +
              Shared::Drawing.tag(:circle, cx:, cy: edge + 3.5, r: 5.5, class: "seam"),
            class: "seam-slot#{pinned(slot)}",
            **handle(slot)
          )
        end

        # Where a join is drawn: between its links; the opening above the first, the ending below the last.
        def edge_of(slot)
          return y(slot.to_link) if slot.to_link > slot.from_link

          if Core::Planning::TaskKey.subject(slot.task_key) == Core::Learning::Item::ENDING
            y(links.size + 1) + 10
          else
            y(1) - 10
          end
        end

        # Bars of a rehearsal stand at the right of its column, in order of time.
        def bar(slot, order, count)
          wide = [step * 0.2, 9, (step * 0.54 / count) - 1.3].min
          top, bottom = bar_ends(slot)
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title(tip(slot)),
            x: x(slot.rehearsal_id) + step - 1 - ((count - order) * (wide + 1.3)),
            y: top + 4,
            width: wide,
            height: bottom - top - 8,
            rx: wide / 2,
            class: "#{slot.kind}#{pinned(slot)}",
            **handle(slot)
          )
        end

        def bar_ends(slot)
          from = (slot.from_link || 1).clamp(1, links.size)
          [y(from), y((slot.to_link || links.size).clamp(from, links.size) + 1)]
        end

        def tip(slot)
          "#{Shared::Dates.day(slot.rehearsal.date)} #{Formats::Times.clock(slot.start_minute)}: #{slot.title}, " \
            "#{slot.minutes} min"
        end

        def today
          count = columns.size - @page.open_rehearsals.size
          at = SIDE + (step * count)
          Shared::Drawing.tag(:line, x1: at, x2: at, y1: HEAD - 4, y2: bottom + 20, class: "today") +
            Shared::Drawing.text(
              I18n.t("build.today"),
              x: at,
              y: bottom + 34,
              text_anchor: "middle",
              class: "today-label"
            )
        end
      end
    end
  end
end
