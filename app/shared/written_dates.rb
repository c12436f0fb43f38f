# frozen_string_literal: true

module App
  module Shared
    # A date as people write it: "15 Dec", "Dec 15th", "15.12.", "2027-12-15", "tomorrow", "Thu". Without a year, the
    # next one from a day on.
    module WrittenDates
      MONTHS = %w[jan feb mar apr may jun jul aug sep oct nov dec].freeze
      WEEKDAYS = %w[mon tue wed thu fri sat sun].freeze
      NAMED = /\A(?:[a-z]{3,9}\.?,?\s+)?(\d{1,2})(?:st|nd|rd|th)?\.?\s+(?:of\s+)?([a-z]{3,9})\.?(?:,?\s+(\d{4}))?\z/
      MONTH_FIRST = /\A([a-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?\z/
      FIGURES = %r{\A(\d{1,2})[./](\d{1,2})[./]?(\d{4}|\d{2})?\z}
      private_constant :NAMED, :MONTH_FIRST, :FIGURES

      module_function

      # A Date, or nil where it is none. from: the day the year, the month or the week is taken from.
      def read(text, from)
        said = text.to_s.downcase.strip.squeeze(" ")
        Dates.parse(said) || named(said, from) || relative(said, from)
      end

      def named(said, from)
        if (found = NAMED.match(said)) then date(found[1], month(found[2]), found[3], from)
        elsif (found = MONTH_FIRST.match(said)) then date(found[2], month(found[1]), found[3], from)
        elsif (found = FIGURES.match(said)) then date(*found.captures, from)
        end
      end

      def relative(said, from)
        return from if said == "today"
        return from + 1 if said == "tomorrow"

        at = WEEKDAYS.index { |name| said.start_with?(name) }
        from + ((at + 1 - from.cwday) % 7) if at && said.match?(/\A[a-z]{3,9}\z/)
      end

      def month(word) = MONTHS.index(word[0, 3])&.+(1)

      def date(day, month, year, from)
        return unless month && Date.valid_date?(2000, month.to_i, day.to_i)

        years = year ? [full(year)] : [from.year, from.year + 1]
        found = years.select { |each| Date.valid_date?(each, month.to_i, day.to_i) }
          .map { |each| Date.new(each, month.to_i, day.to_i) }
        year ? found.first : found.find { |each| each >= from }
      end

      def full(year) = year.length == 2 ? 2000 + year.to_i : year.to_i
    end
  end
end
