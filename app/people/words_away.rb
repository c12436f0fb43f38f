# frozen_string_literal: true

module App
  module People
    # When somebody can come, as people write it, a line or a phrase each: "never Thursdays", "from 18:00 on Tuesdays",
    # "Mon and Wed until 19", "15 Dec", "15 Dec to 2 Jan", "15-18 Dec", "not after 19:00 on 9 Feb".
    #
    #   WordsAway.new("never Thursdays", Date.new(2027, 2, 2)).all  # => [Line(weekdays: [4], from: nil, to: nil)]
    class WordsAway
      # weekdays: [1 to 7] of a habit, or days: a range of Dates; from, to: minutes of the day between which they are
      # away, nil for none.
      Line = Struct.new(:weekdays, :days, :from, :to, keyword_init: true)
      WEEKDAY = /\b(mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun)(?:days?|sdays?|nesdays?|rsdays?|urdays?)?(s)?\b/
      CLOCK = /(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm)?/
      HOURS = %r{\b(not\s+before|not\s+after|not\s+until|only\s+from|only\s+until|from|after|since|until|till|before)
                \s+#{CLOCK}(?!\s*(?:st|nd|rd|th|[a-z]{3}|[./-]\d))}x
      NOT = /\b(?:never|not|no|away|can(?:no|'|’)t|cannot|absent|out|except)\b/
      RANGE = /\s+(?:to|until|till|through)\s+|\s*[–—]\s*|\s+-\s+/
      MOST = 60
      private_constant :WEEKDAY, :CLOCK, :HOURS, :NOT, :RANGE

      def initialize(text, today)
        @today = today
        @texts = text.to_s.split(/[\n;]+/).map { |line| line.strip.squeeze(" ") }.reject(&:empty?)
      end

      # [Line] of what was understood.
      def all = read.filter_map(&:last)

      # The first phrase that was not, or nil.
      def unread = @texts.size > MOST ? @texts[MOST] : read.find { |_, line| line.nil? }&.first

      private

      def read = @read ||= @texts.first(MOST).flat_map { |text| phrases(text) }.map { |text| [text, line(text)] }

      # "15 Dec, 19 Dec" are two; "Mon, Wed until 19" is one.
      def phrases(text)
        parts = text.split(/\s*,\s*|\s+and\s+(?=\d)/)
        parts.size > 1 && parts.all? { |part| line(part) } && parts.none? { |part| hours?(part) } ? parts : [text]
      end

      def hours?(text) = text.downcase.match?(HOURS)

      def line(text)
        said = text.downcase
        hours = HOURS.match(said)
        rest = (hours ? said.sub(hours[0], " ") : said).gsub(NOT, " ").gsub(/\b(?:on|every|each|the)\b/, " ").strip
        span = hours ? span(hours, said) : {}
        return if span.nil?

        where(rest.squeeze(" "), said)&.then { |place| Line.new(**place, **span) }
      end

      # {weekdays:} or {days:}.
      def where(rest, said)
        days = rest.scan(WEEKDAY)
        alone = rest.gsub(WEEKDAY, "").gsub(/[\s,&+]|\band\b|\bor\b/, "").empty?
        weekly = days.size > 1 || (days.any? && weekly?(said))
        return { weekdays: days.map { |name, _| weekday(name) }.uniq } if weekly && alone

        dates(rest)&.then { |range| { days: range } }
      end

      # A plural, "every", or "never" (or several of them): not the next one only.
      def weekly?(said) = said.match?(/days\b|\b(?:mon|tue|wed|thu|fri|sat|sun)s\b|\bevery\b|\beach\b|\bnever\b/)

      def weekday(name) = Shared::WrittenDates::WEEKDAYS.index(name[0, 3]) + 1

      def dates(rest)
        short = rest.match(/\A(\d{1,2})\s*(?:[-–]|to)\s*(\d{1,2})\.?\s+([a-z].*)\z/)
        ends = short ? ["#{short[1]} #{short[3]}", "#{short[2]} #{short[3]}"] : rest.split(RANGE, 2)
        first = Shared::WrittenDates.read(ends.first, @today) or return
        last = ends[1] ? Shared::WrittenDates.read(ends[1], first) : first
        first..last if last && last >= first && last - first < 400
      end

      # What somebody comes from is when they are away until, and the other way round; "not from" turns it.
      def span(hours, said)
        minute = minute(hours) or return
        words = hours[1].squeeze(" ")
        turned = said.sub(hours[0], " ").match?(NOT)
        comes = words.match?(/\A(?:not (?:before|until)|only from|from|after|since)\z/)
        comes = !comes if turned
        comes ? { from: nil, to: minute } : { from: minute, to: nil }
      end

      def minute(hours)
        hour = hours[2].to_i
        hour += 12 if hours[4] == "pm" && hour < 12
        found = (hour * 60) + hours[3].to_i
        found if hour <= 24 && hours[3].to_i < 60 && found <= 1440
      end
    end
  end
end
