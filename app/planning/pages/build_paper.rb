# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The build on paper: its drawing on a page that lies on its side, then every slot by its day.
      class BuildPaper < Show
        Print = Formats::Print
        private_constant :Print

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(
            title: I18n.t("papers.build", piece: piece.title), lines: head, blocks:, wide: true,
            foot: Shared::Paper.foot(piece.studio, now, piece.title)
          )
        end

        # It is looked at, not moved.
        def director? = false

        def drawing = BuildPicture.new(self).svg

        private

        def head
          return [] unless plan

          told = I18n.t(plan.published? ? "papers.told" : "papers.draft", number: plan.number)
          ready = ready_on && I18n.t("papers.ready_on", day: Shared::Dates.day(ready_on))
          shown = piece.show_date && I18n.t("papers.show_on", day: Shared::Dates.day(piece.show_date, year: true))
          [[told, ready, shown].compact.join(" · ")].reject(&:empty?)
        end

        def blocks
          return [Print::Words.new(text: I18n.t("papers.no_plan"))] unless plan

          label = I18n.t("build.label", links: order.links.size, rehearsals: rehearsals.size)
          [Print::Picture.new(svg: Shared::StandaloneSvg.of(drawing), label:), Print::Break.new, slot_table]
        end

        def slot_table
          rows = open_rehearsals.flat_map { |rehearsal| rows_of(rehearsal) }
          columns = [["day", 12], ["time", 14], ["what", 46], ["minutes", 9, :right]]
          Print::Table.new(columns: Shared::Paper.headed(*columns), rows:, bold: 0)
        end

        def rows_of(rehearsal)
          own = slots.select { |slot| slot.rehearsal_id == rehearsal.id }
          own.sort_by { |slot| [slot.start_minute, slot.id] }.each_with_index.map do |slot, i|
            times = [slot.start_minute, slot.end_minute].map { |minute| Formats::Times.clock(minute) }.join(" – ")
            [i.zero? ? Shared::Dates.day(rehearsal.date) : "", times, slot.title, slot.minutes.to_s]
          end
        end
      end
    end
  end
end
