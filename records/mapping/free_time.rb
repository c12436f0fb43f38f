# frozen_string_literal: true

module Records
  module Mapping
    # What minors have free around evenings that a plan cannot move, those of other pieces and those that stand as they
    # were told: hours of the night before and after, and a day of any seven. As entries of Problem#unavailable.
    class FreeTime
      MINUTES = 1440
      WEEK = 7
      private_constant :MINUTES, :WEEK

      # slots: with their rehearsals and people; minors: [person id]; night: minutes between two evenings; dates: those
      # on which a plan may set something.
      def initialize(slots, minors:, night:, dates:)
        @slots = slots
        @minors = minors.to_set
        @night = night
        @dates = dates.uniq
        @days = @dates.to_set(&:iso8601)
      end

      def entries = evenings.flat_map { |who, days| nights(who, days) + days_off(who, days.keys) }

      private

      # {person id => {Date => [first minute, last minute]}}
      def evenings
        @slots.each_with_object({}) do |slot, found|
          slot.slot_people.map(&:person_id).uniq.select { |who| @minors.include?(who) }.each do |who|
            days = found[who] ||= {}
            first, last = days[slot.rehearsal.date]
            days[slot.rehearsal.date] = [[first, slot.start_minute].compact.min, [last, slot.end_minute].compact.max]
          end
        end
      end

      def nights(who, days)
        days.flat_map do |date, (first, last)|
          [entry(who, date + 1, 0, last + @night - MINUTES), entry(who, date - 1, first - @night + MINUTES, MINUTES)]
            .select { |each| each[:from] < each[:to] && @days.include?(each[:date]) }
        end
      end

      # Days that would be the seventh on end.
      def days_off(who, worked)
        full = @dates.reject { |date| worked.include?(date) }.select do |date|
          ((date - WEEK + 1)..date).any? { |from| ([*from...(from + WEEK)] - [date] - worked).empty? }
        end
        full.map { |date| entry(who, date, 0, MINUTES) }
      end

      def entry(who, date, from, to)
        { who: Identifiers.person(who), date: date.iso8601, from: [from, 0].max, to: [to, MINUTES].min, late: true }
      end
    end
  end
end
