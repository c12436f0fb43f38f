# frozen_string_literal: true

module Core
  module Planning
    # When people can come, on whatever day: what is asked of it for the rehearsals there are holds for one that is only
    # thought of. absences: [{who:, from_date:, to_date:, from:, to:}], ISO dates and minutes of the day, nil for the
    # whole day; visits: {who => [ISO date]} of those who come on these dates only; minors: who is at home from minute
    # `latest` on, or from an earlier one of their own (homes: {who => minute}); dancing: who warms up and cools down;
    # warm_up: its minutes; school: SchoolDays, before which those with an hour of their own are home so many minutes
    # earlier (eve).
    class Availability < Values::Value.of(
      absences: [].freeze, visits: {}.freeze, minors: [].freeze, dancing: [].freeze, latest: 1440, warm_up: 15,
      homes: {}.freeze, care: Care.new,
      school: nil, eve: 0
    )
      # Entries of Problem#unavailable for a rehearsal on a date from one minute of the day to another.
      def on(date, opening:, closing:)
        [*absent(date, opening, closing), *not_visiting(date), *at_home(date, closing)].uniq
      end

      # The same for a window: a rehearsal less its warm-up and its cool-down.
      def of(window) = on(window.date, opening: window.start - warm_up, closing: window.finish + care.cool_down)

      # With somebody there whenever it is up to them.
      def freed(who)
        with(absences: absences.reject { |absence| absence[:who] == who }, visits: visits.reject { |id, _| id == who })
      end

      # With somebody there on a day (ISO date): not absent then, and, of a visitor, one visit more.
      def coming(who, date)
        own = absences.select { |each| each[:who] == who && date.between?(each[:from_date], each[:to_date]) }
        rest = own.flat_map { |each| around(each, Date.iso8601(date)) }
        with(absences: absences - own + rest,
             visits: visits.to_h { |id, dates| [id, id == who ? dates | [date] : dates] })
      end

      # [first, last] ISO date of the absences of somebody that reach into a stretch of days; nil without one.
      def absent_between(who, first, last)
        own = absences.select do |absence|
          absence[:who] == who && absence[:from_date] <= last && absence[:to_date] >= first
        end
        [own.map { |absence| absence[:from_date] }.min, own.map { |absence| absence[:to_date] }.max] if own.any?
      end

      private

      # What is left of an absence before and after a day.
      def around(absence, day)
        [{ **absence, to_date: (day - 1).iso8601 }, { **absence, from_date: (day + 1).iso8601 }]
          .select { |each| each[:from_date] <= each[:to_date] }
      end

      def absent(date, opening, closing)
        absences.select { |absence| date.between?(absence[:from_date], absence[:to_date]) }.map do |absence|
          from, to = absence.values_at(:from, :to)
          if dancing.include?(absence[:who]) && (from || to)
            from, to = care.away(from, to, opening:, closing:, warm_up:)
          end
          { who: absence[:who], date:, from:, to: }
        end
      end

      def not_visiting(date)
        visits.reject { |_, dates| dates.include?(date) }.keys.map { |who| { who:, date:, from: nil, to: nil } }
      end

      # Minors go home cooled down.
      def at_home(date, closing)
        earlier = school&.eve?(date) ? eve : 0
        at = minors.to_h { |who| [who, [homes[who]&.-(earlier), latest].compact.min] }
        at.select { |_, home| home < closing }
          .map { |who, home| { who:, date:, from: home - care.cool_down, to: 1440, late: true } }
      end
    end
  end
end
