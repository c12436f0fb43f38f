# frozen_string_literal: true

module Core
  module Learning
    # When what somebody has would become rusty, if it is danced on certain days only. A planning aid: it never lowers a
    # tick.
    #
    #   Forecast.new(cell, [Date.new(2027, 1, 20)], today:, ends:).gap  # => Gap or nil
    class Forecast
      # since: when it was danced last; rusty: the first day on which it would be; until: when it is danced next, or the
      # end.
      Gap = Struct.new(:since, :rusty, :until, keyword_init: true)

      # cell: Cell; days: [Date] on which it will be danced, ends: the last day that counts.
      def initialize(cell, days, today:, ends:)
        @cell = cell
        @days = (days.uniq.sort.select { |day| day > today } + [ends]).reject { |day| day > ends }.uniq
        @today = today
      end

      # The first stretch in which it would become rusty, or nil. What is rusty already is none: it is to be danced at
      # once anyway.
      def gap
        return if @cell.last_danced_on.nil? || @cell.freshness(@today) == :rusty

        fresh = Freshness.new(days: @cell.days, last_danced_on: @cell.last_danced_on)
        @days.each do |day|
          return Gap.new(since: fresh.last_danced_on, rusty: fresh.rusty_on, until: day) if fresh.rusty_on <= day

          fresh = Freshness.new(days: fresh.days + 1, last_danced_on: day)
        end
        nil
      end
    end
  end
end
