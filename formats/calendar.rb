# frozen_string_literal: true

require "icalendar"
require "icalendar/tzinfo"
require "logger"
require "tzinfo"
require_relative "calendar/busy_times"

# What is odd in a file that came in is answered, not printed.
Icalendar.logger = Logger.new(nil)

module Formats
  # Calendars as other programs hold them: an iCalendar file (RFC 5545), out and in. The only format that needs a
  # library; so it is not loaded with the others, which run without any.
  module Calendar
    # uid: stays the same for the same thing; date; start, finish: minutes of the day, in the zone; summary; place and
    # description: texts or nil; cancelled: whether it fell away; sequence: grows with each change; changed_at: a Time.
    Event = Struct.new(:uid, :date, :start, :finish, :summary, :place, :description, :cancelled, :sequence, :changed_at,
                       keyword_init: true)
    PRODUCT = "-//Join Chain//calendar//EN"

    module_function

    # The file's text. events: [Event]; name: what it is called; zone: "Europe/London". Times carry their zone with its
    # summer time, so that a calendar elsewhere shows the right hour.
    def render(events, name:, zone:)
      calendar = Icalendar::Calendar.new
      calendar.prodid = PRODUCT
      calendar.append_custom_property("X-WR-CALNAME", name)
      calendar.append_custom_property("REFRESH-INTERVAL;VALUE=DURATION", "PT1H")
      info = TZInfo::Timezone.get(zone)
      first = events.map(&:date).min || Date.new(2000, 1, 1)
      calendar.add_timezone info.ical_timezone(first.to_time)
      events.each { |event| calendar.add_event(entry(event, zone)) }
      calendar.publish
      calendar.to_ical
    end

    # What a file says of when somebody is busy: a BusyTimes::Read. zone: of whoever reads; days: a Range of dates that
    # matters. Raises nothing: what cannot be read is said.
    def parse(text, zone:, days:) = BusyTimes.new(text, zone:, days:).read

    def entry(event, zone)
      made = Icalendar::Event.new
      made.uid = event.uid
      made.dtstamp = Icalendar::Values::DateTime.new(event.changed_at.getutc, "tzid" => "UTC")
      made.last_modified = made.dtstamp
      made.dtstart = moment(event.date, event.start, zone)
      made.dtend = moment(event.date, event.finish, zone)
      made.summary = event.summary
      made.location = event.place if event.place
      made.description = event.description if event.description
      made.sequence = event.sequence
      made.status = event.cancelled ? "CANCELLED" : "CONFIRMED"
      made
    end

    def moment(date, minute, zone)
      at = DateTime.new(date.year, date.month, date.day, minute / 60 % 24, minute % 60) + (minute / 1440)
      Icalendar::Values::DateTime.new(at, "tzid" => zone)
    end
    private_class_method :entry, :moment
  end
end
