# frozen_string_literal: true

require "ice_cube"

module Formats
  module Calendar
    # When somebody is busy by a calendar of theirs: events of whole days and at times, repeated ones written out, in
    # the reader's own zone, a line a day.
    class BusyTimes
      # date; start, finish: minutes of the day, nil for the whole of it; summary: what it is called there.
      Busy = Struct.new(:date, :start, :finish, :summary, keyword_init: true)
      # busy: [Busy], in order; left_out: [[summary, a word for why]] (:free, :cancelled, :endless, :unclear); fault: a
      # word for what is wrong with the whole file, or nil.
      Read = Struct.new(:busy, :left_out, :fault, keyword_init: true)
      BYTES = 2 * 1024 * 1024
      EVENTS = 3000
      # So many repetitions of one event are written out.
      TIMES = 500
      # So many single days of one event are looked at.
      EXCEPTIONS = 2000
      SINGLE_DAYS = /^(?:EXDATE|RDATE)\b[^\r\n]*/in
      DAY = 1440
      # What repeats by the hour or faster is no appointment of anybody's.
      RUSHED = /FREQ=(SECONDLY|MINUTELY|HOURLY)/i

      def initialize(text, zone:, days:)
        @text = text.to_s
        @zone = TZInfo::Timezone.get(zone)
        @days = days
        @left_out = []
      end

      def read
        fault = fault_of(@text)
        return Read.new(busy: [], left_out: [], fault:) if fault

        events = calendars.flat_map(&:events)
        busy = events.flat_map { |event| of(event, moved(events)) }
        Read.new(busy: busy.uniq.sort_by do |each|
          [each.date, each.start || -1, each.finish || DAY]
        end, left_out: @left_out,
                 fault: nil)
      rescue StandardError
        # The library meets what is no calendar in many ways.
        Read.new(busy: [], left_out: [], fault: :unread)
      end

      private

      def fault_of(text)
        return :large if text.bytesize > BYTES
        return :encoding unless text.dup.force_encoding("UTF-8").valid_encoding?

        return :kind unless text.b.match?(/\A(?:\xEF\xBB\xBF)?BEGIN:VCALENDAR\b/in)

        :many if many?(text.b.gsub(/\r?\n[ \t]/n, ""))
      end

      # Counted before anything is read: reading a single event with a million dates is what takes the time.
      def many?(text)
        events = text.split(/^BEGIN:VEVENT\b/in).drop(1)
        events.size > EVENTS || events.any? do |event|
          event.scan(SINGLE_DAYS).sum { |line| line.count(",") + 1 } > EXCEPTIONS
        end
      end

      def calendars
        text = @text.dup.force_encoding("UTF-8").delete_prefix("\uFEFF")
        Icalendar::Calendar.parse(text)
      end

      # {uid => [moments of single repetitions that were moved]}.
      def moved(events)
        @moved ||= events.select(&:recurrence_id).group_by { |event| event.uid.to_s }
          .transform_values { |same| same.map { |event| time(event.recurrence_id) } }
      end

      def of(event, moved)
        name = event.summary.to_s
        return left_out(name, :cancelled) if event.status.to_s.casecmp?("CANCELLED")
        return left_out(name, :free) if event.transp.to_s.casecmp?("TRANSPARENT")
        return left_out(name, :unclear) unless event.dtstart

        starts = repeated(event, moved.fetch(event.uid.to_s, []))
        whole?(event) ? whole_days(event, starts, name) : times(event, starts, name)
      rescue StandardError
        # One event that means nothing spoils no other.
        left_out(name, :unclear)
      end

      def left_out(name, why)
        @left_out << [name, why]
        []
      end

      def whole?(event) = event.dtstart.is_a?(Icalendar::Values::Date)

      # A Time in the reader's zone, or at midnight UTC of a day.
      def time(value)
        return Time.utc(value.year, value.month, value.day) if value.is_a?(Icalendar::Values::Date)

        zone = value.ical_params && Array(value.ical_params["tzid"]).first
        return local(value, @zone) if zone.nil?
        return Time.utc(*parts(value)) if zone == "UTC"

        local(value, TZInfo::Timezone.get(zone))
      rescue TZInfo::InvalidTimezoneIdentifier
        local(value, @zone)
      end

      def parts(value) = [value.year, value.month, value.day, value.hour, value.min]

      # An hour that there is twice is taken first; one that there is not is taken as before the clocks change.
      def local(value, zone)
        zone.local_to_utc(Time.utc(*parts(value)), &:first)
      rescue TZInfo::PeriodNotFound
        zone.local_to_utc(Time.utc(*parts(value)) - 3600, &:first) + 3600
      end

      # Beginnings of all its repetitions that matter: [Time]. What repeats does so by the clock of its own zone.
      def repeated(event, moved)
        first = time(event.dtstart)
        rule = event.rrule.first
        return [first] if rule.nil? || event.recurrence_id
        return left_out(event.summary.to_s, :endless) if rule.value_ical.match?(RUSHED)

        found = by_the_clock(event, rule)
        left_out(event.summary.to_s, :endless) if found.size > TIMES
        gone = event.exdate.flatten.map { |each| time(each) } + moved
        (found.first(TIMES) + event.rdate.flatten.map { |each| time(each) }).uniq - gone
      end

      def by_the_clock(event, rule)
        start = Time.utc(*(if whole?(event)
                             [event.dtstart.year, event.dtstart.month,
                              event.dtstart.day]
                           else
                             parts(event.dtstart)
                           end))
        schedule = IceCube::Schedule.new(start)
        schedule.add_recurrence_rule(IceCube::Rule.from_ical(rule.value_ical))
        from = (@days.begin - 40).to_time(:utc)
        to = (@days.end + 1).to_time(:utc)
        found = schedule.next_occurrences(TIMES + 1, from).map { |at| at.to_time.getutc }
        found.take_while { |at| at <= to }.map { |at| placed(event, at) }
      end

      # A wall clock's reading, in the zone of the event.
      def placed(event, at)
        return at if whole?(event)

        value = Icalendar::Values::DateTime.new(at, event.dtstart.ical_params || {})
        time(value)
      end

      def whole_days(event, starts, name)
        last = event.dtend ? event.dtend.to_date : event.dtstart.to_date + 1
        length = [(last - event.dtstart.to_date).to_i, 1].max
        days = starts.flat_map { |start| (0...length).map { |i| start.to_date + i } }
        days.select { |day| @days.cover?(day) }.uniq.map { |date| Busy.new(date:, summary: name) }
      end

      def times(event, starts, name)
        length = (event.dtend ? wall(time(event.dtend)) - wall(time(event.dtstart)) : 0).clamp(0, 31 * 86_400)
        starts.flat_map { |start| by_day(@zone.utc_to_local(start.getutc), length, name) }
          .select { |busy| @days.cover?(busy.date) }
      end

      # What the reader's clock shows, also where it is put back meanwhile.
      def wall(at)
        local = @zone.utc_to_local(at.getutc)
        Time.utc(local.year, local.month, local.day, local.hour, local.min)
      end

      # Over midnight it is two days'.
      def by_day(start, seconds, name)
        minute = (start.hour * 60) + start.min
        finish = minute + (seconds / 60).ceil
        (0..((finish - 1) / DAY)).map do |i|
          from = i.zero? ? minute : 0
          to = [finish - (i * DAY), DAY].min
          date = Date.new(start.year, start.month, start.day) + i
          whole = from.zero? && to == DAY
          Busy.new(date:, start: (from unless whole), finish: (to unless whole), summary: name)
        end
      end
    end
  end
end
