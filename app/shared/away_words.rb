# frozen_string_literal: true

module App
  module Shared
    # When somebody is away, in words: "never on Thursdays", "on Tuesdays from 18:00", "Tue 15 Dec until 19:00".
    module AwayWords
      module_function

      # line: People::WordsAway::Line.
      def line(line)
        return days(line.days.first, line.days.last, line.from, line.to) unless line.weekdays

        line.weekdays.map { |weekday| weekly(weekday, line.from, line.to) }.join(", ")
      end

      def habit(habit) = weekly(habit.weekday, habit.from_minute, habit.to_minute)

      def weekly(weekday, from, to)
        I18n.t("away.weekly.#{kind(from, to)}", day: I18n.t("away.weekdays")[weekday - 1], **times(from, to))
      end

      # "until 18:30", of a part of a day.
      def hours(from, to) = I18n.t("away.hours.#{kind(from, to)}", **times(from, to))

      # An absence's or a line's days.
      def days(first, last, from, to)
        said = [first, last].uniq.map { |date| Dates.day(date) }.join(" – ")
        I18n.t("away.days.#{kind(from, to)}", days: said, **times(from, to))
      end

      def kind(from, to)
        return "between" if from && to
        return "until" if from

        to ? "from" : "all"
      end

      def times(from, to)
        { until: from && Formats::Times.clock(from), from: to && Formats::Times.clock(to) }
      end
    end
  end
end
