# frozen_string_literal: true

module App
  module Shared
    # The hours in which a studio sends no mail of its own accord, in its own time.
    class QuietHours
      def initialize(studio)
        @studio = studio
        @from = studio.setting("quiet_from")
        @to = studio.setting("quiet_to")
      end

      # When they end, where they hold at a moment; nil where they do not.
      def ending(now)
        local = @studio.local(now)
        minute = (local.hour * 60) + local.min
        return unless quiet?(minute)

        day = local.to_date + (minute >= @to ? 1 : 0)
        @studio.zone.local_to_utc(Time.utc(day.year, day.month, day.day, @to / 60, @to % 60), &:first)
      end

      # Whether the morning has come: what waits for the day's letter goes out from then on.
      def morning?(now)
        local = @studio.local(now)
        (local.hour * 60) + local.min >= @to
      end

      private

      def quiet?(minute)
        return false if @from == @to

        @from < @to ? minute.between?(@from, @to - 1) : minute >= @from || minute < @to
      end
    end
  end
end
