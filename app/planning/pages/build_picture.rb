# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The build: the chain down the side, rehearsals across, learning as tape, joins as two rings between rows,
      # chains and runs as bars over all rows they cover.
      class BuildPicture
        SIDE = BuildColumns::SIDE
        HEAD = 56
        # So many links have rows of full height.
        FEW = 14

        def initialize(page) = @page = page

        def width = layout.whole
        def height = HEAD + (tall * links.size) + 40

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
        def layout = @layout ||= BuildColumns.new(columns.size, behind)
        def behind = columns.size - @page.open_rehearsals.size
        def x(rehearsal_id) = layout.x(index.fetch(rehearsal_id))
        def step(rehearsal_id) = layout.width(index.fetch(rehearsal_id))
        def index = @index ||= columns.each_with_index.to_h { |rehearsal, i| [rehearsal.id, i] }
        def tall = links.size > FEW ? 28 : 38
        def y(row) = HEAD + (tall * (row - 1))
        def bottom = y(links.size + 1)

        def past
          return "" if behind.zero?

          wide = layout.x(behind) - SIDE
          Shared::Drawing.tag(:rect, x: SIDE, y: HEAD, width: wide, height: bottom - HEAD, class: "past")
        end

        # Where a slot can be dropped: one invisible column a rehearsal ahead.
        def columns_hit
          open = @page.open_rehearsals
          columns.each_with_index.map do |rehearsal, i|
            if open.include?(rehearsal)
              Shared::Drawing.tag(
                :rect,
                x: layout.x(i),
                y: HEAD,
                width: layout.width(i),
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
                x1: layout.x(i),
                x2: layout.x(i),
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
            named = first_of_month?(i) ? head(i, 14, "month", Shared::Dates.month(date)) : ""
            layout.folded?(i) ? named : named + head(i, 31, "head", date.day.to_s)
          end.join
        end

        # Whether a month is named over a column: over its first, as long as the next one's name does not meet it.
        def first_of_month?(at)
          return false if at.positive? && columns[at - 1].date.month == columns[at].date.month

          later = ((at + 1)...columns.size).find { |i| columns[i].date.month != columns[at].date.month }
          later.nil? || layout.x(later) - layout.x(at) > 30
        end

        def head(column, y, kind, words)
          middle = layout.x(column) + (layout.width(column) / 2.0)
          Shared::Drawing.text(words, x: middle, y:, text_anchor: "middle", class: kind)
        end

        def rows
          links.map do |link|
            top = y(link.index)
            Shared::Drawing.tag(
              :rect,
              x: 0,
              y: top + 5,
              width: 8,
              height: tall - 10,
              fill: Shared::Tape.fill(@page.tape(link.section), "build")
            ) + Shared::Drawing.text(link.name, x: 16, y: top + (tall / 2) + 4, class: "row-name") + echo(link, top)
          end.join
        end

        def echo(link, top)
          if link.echo == :first
            ""
          else
            Shared::Drawing.text(
              I18n.t("echo.marks.#{link.echo}"),
              x: SIDE - 8,
              y: top + (tall / 2) + 4,
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
        def room(slot) = step(slot.rehearsal_id) * (@bars.key?(slot.rehearsal_id) ? 0.48 : 0.62)

        def block(slot)
          return seam(slot) if slot.kind == "join"
          return "" unless slot.from_link&.between?(1, links.size)

          lesson(slot, links[slot.from_link - 1])
        end

        def lesson(slot, link)
          high = (tall - 10) * (slot.minutes / 45.0).clamp(0.35, 1)
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title(tip(slot)),
            x: x(slot.rehearsal_id) + 3,
            y: y(link.index) + 5 + ((tall - 10 - high) / 2),
            width: [room(slot) - 3, 3].max,
            height: high,
            fill: Shared::Tape.fill(@page.tape(link.section), "build"),
            class: "lesson #{slot.kind}#{pinned(slot)}",
            **handle(slot)
          )
        end

        def seam(slot)
          return "" unless slot.to_link&.between?(1, links.size)

          cx = x(slot.rehearsal_id) + 1.5 + (room(slot) / 2)
          edge = edge_of(slot)
          r = ring(slot)
          Shared::Drawing.tag(
            :g,
            Shared::Drawing.title(tip(slot)) +
              Shared::Drawing.tag(:circle, cx:, cy: edge - 3.5, r:, class: "seam") +
              Shared::Drawing.tag(:circle, cx:, cy: edge + 3.5, r:, class: "seam"),
            class: "seam-slot#{pinned(slot)}",
            **handle(slot)
          )
        end

        # Rings stay clear of the bars beside them.
        def ring(slot) = ((room(slot) - 2.5) / 2).clamp(2.0, 5.5)

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
          step = step(slot.rehearsal_id)
          wide = [step * 0.2, 9, (step * 0.5 / count) - 1.3].min.clamp(0.8, 9)
          top, bottom = bar_ends(slot)
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title(tip(slot)),
            x: x(slot.rehearsal_id) + step - 1 - ((count - order) * (wide + gap(count))),
            y: top + 4,
            width: wide,
            height: bottom - top - 8,
            rx: wide / 2,
            class: "#{slot.kind}#{pinned(slot)}",
            **handle(slot)
          )
        end

        def gap(count) = count > 6 ? 0.4 : 1.3

        def bar_ends(slot)
          from = (slot.from_link || 1).clamp(1, links.size)
          [y(from), y((slot.to_link || links.size).clamp(from, links.size) + 1)]
        end

        def tip(slot)
          "#{Shared::Dates.day(slot.rehearsal.date)} #{Formats::Times.clock(slot.start_minute)}: #{slot.title}, " \
            "#{slot.minutes} min"
        end

        def today
          at = layout.x(behind)
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
