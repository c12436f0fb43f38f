# frozen_string_literal: true

module App
  module Shared
    # Sheets on paper, with the fonts that ship with the application.
    module Paper
      FONTS = { regular: "Lato-Regular.ttf", bold: "Lato-Bold.ttf", other: "DejaVuSans.ttf" }
        .transform_values { |file| File.join(Settings::ROOT, "app", "assets", "fonts", file) }.freeze

      module_function

      # Formats::Print::Sheet => bytes of PDF. size: "a4" or "letter"; A4 for anything else.
      def render(sheet, size)
        Formats::Print.render(sheet, paper: Formats::Print::PAPERS.key?(size) ? size : "a4", fonts: FONTS)
      end

      # What stands at the foot: whose it is, of what, and as of when. now: the studio's local time.
      def foot(studio, now, about = nil)
        as_of = I18n.t("papers.as_of", day: Dates.day(now.to_date, year: true), time: now.strftime("%H:%M"))
        [studio.name, about, as_of].compact.join(" · ")
      end

      # The same with headings by their names in the locale file.
      def headed(*given)
        columns(*given.map { |name, share, align| [I18n.t("papers.columns.#{name}"), share, align] })
      end

      # [[heading, share of the width, where it stands], …] => [Formats::Print::Column]
      def columns(*given)
        given.map { |heading, share, align| Formats::Print::Column.new(heading:, share:, align:) }
      end
    end
  end
end
