# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The schools of building side by side, before one is chosen: minutes, how often what is danced, when it is ready.
      class Schools < Offer
        KIND = "schools"
        PATH = PATHS.fetch(KIND)
        Row = Struct.new(:key, :minutes, :danced, :first_run, :ready, :unplaced, :waiting, keyword_init: true)

        def title = "#{I18n.t('schools.title')} · #{piece.title}"
        def chosen = piece.setting("school")

        def rows
          @rows ||= facts.fetch("rows").map do |row|
            danced = row["danced"].transform_keys(&:to_i)
            Row.new(**row.symbolize_keys, danced:, first_run: date(row["first_run"]), ready: date(row["ready"]))
          end
        end

        # How often each section is danced, in order of the piece: a bar each, to one scale over all schools.
        def bars(row)
          sections = order.links.map(&:section).uniq(&:id)
          drawn =
            sections.each_with_index.map { |section, i| bar(section, i * 22, row.danced.fetch(section.id, 0)) }.join
          key = "danced-#{row.key}"
          Shared::Drawing.drawing(
            (sections.size * 22) + 2,
            56,
            Shared::Tape.patterns(sections.map { |section| tape(section) }, key) + drawn.gsub("KEY", key),
            label: I18n.t("schools.danced", what: words(row, sections))
          )
        end

        private

        def most = @most ||= rows.flat_map { |row| row.danced.values }.max || 1

        def words(row, sections)
          sections.map { |section| "#{section.name} #{row.danced.fetch(section.id, 0)}" }.join(", ")
        end

        def bar(section, left, times)
          tall = 36.0 * times / most
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title("#{section.name}: #{times}"),
            x: left,
            y: 42 - tall,
            width: 16,
            height: tall,
            fill: Shared::Tape.fill(tape(section), "KEY")
          ) + Shared::Drawing.text(times, x: left + 8, y: 54, text_anchor: "middle", font_size: 11)
        end
      end
    end
  end
end
