# frozen_string_literal: true

module App
  module Shared
    # Dates as people say them.
    module Dates
      module_function

      # "Tue 2 Feb"
      def day(date, year: false) = date.strftime(year ? "%a %-d %b %Y" : "%a %-d %b")

      # "2 Feb"
      def short(date) = date.strftime("%-d %b")

      # "12 days ago", "today"
      def ago(date, today)
        days = (today - date).to_i
        return I18n.t("ago.future", count: -days) if days.negative?

        days.zero? ? I18n.t("ago.today") : I18n.t("ago.days", count: days)
      end
    end
  end
end
