# frozen_string_literal: true

module App
  module Shared
    # Dates as people say them.
    module Dates
      YEARS = (2000..2200)

      module_function

      # A date as a form sends it (2027-02-19), or nil where it is none or outside a range.
      def parse(text, within: nil)
        date = Date.iso8601(text.to_s)
        date if YEARS.cover?(date.year) && (within.nil? || within.cover?(date))
      rescue ArgumentError # no date, or too long for one
        nil
      end

      # "Tue 2 Feb"
      def day(date, year: false) = date.strftime(year ? "%a %-d %b %Y" : "%a %-d %b")

      # "2 Feb"
      def short(date) = date.strftime("%-d %b")

      # "Feb"
      def month(date) = date.strftime("%b")

      # "12 days ago", "today"
      def ago(date, today)
        days = (today - date).to_i
        return I18n.t("ago.future", count: -days) if days.negative?

        days.zero? ? I18n.t("ago.today") : I18n.t("ago.days", count: days)
      end
    end
  end
end
