# frozen_string_literal: true

require "date"

module Core
  module Planning
    # On which days there is school: days of the week (1 Monday to 7 Sunday), and stretches of days without it
    # ([[ISO date, ISO date], …]).
    #
    #   SchoolDays.new.eve?("2027-02-07")  # => true, a Sunday
    class SchoolDays < Values::Value.of(days: (1..5).to_a.freeze, free: [].freeze)
      def on?(date)
        text = date.iso8601
        days.include?(date.cwday) && free.none? { |from, to| text.between?(from, to) }
      end

      # Whether the day after an ISO date is one.
      def eve?(text) = on?(Date.iso8601(text) + 1)
    end
  end
end
