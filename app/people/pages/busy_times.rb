# frozen_string_literal: true

module App
  module People
    module Pages
      # What a calendar says of when somebody is busy, before any of it is taken.
      class BusyTimes
        # Days ahead that are read.
        AHEAD = 366

        attr_reader :person

        # file: as a form sends it, {"tempfile"}.
        def initialize(person, file, today)
          @person = person
          @file = file
          @today = today
        end

        def screen = :people
        def title = I18n.t("busy_times.title", name: person.name)

        # What is wrong with the whole file, in words; nil where nothing is.
        def fault
          return I18n.t("busy_times.faults.none") unless @file.is_a?(Hash)

          I18n.t("busy_times.faults.#{read.fault}") if read.fault
        end

        # [[value, day, times, what it is called there, whether it is known already], …].
        def rows
          read.busy.map do |busy|
            [value(busy), Shared::Dates.day(busy.date), times(busy), busy.summary, known.include?(value(busy))]
          end
        end

        # ["Choir: it counts as free there", …].
        def left_out
          texts = read.left_out.map { |name, why| left_out_words(name, why) }
          texts.tally.map { |text, count| count > 1 ? "#{text} (#{count})" : text }
        end

        private

        def left_out_words(name, why)
          "#{name.presence || I18n.t('busy_times.nameless')}: #{I18n.t("busy_times.why.#{why}")}"
        end

        # In a process of its own: a repetition may never come true.
        def read
          @read ||= begin
            said = Shared::Confined.read("calendar", @file["tempfile"].path, zone: person.studio.time_zone,
                                                                             from: @today, to: @today + AHEAD)
            found(busy: said["busy"].map { |row| busy(*row) }, left_out: said["left_out"],
                  fault: said["fault"]&.to_sym)
          rescue Shared::Confined::TooMuch
            found(busy: [], left_out: [], fault: :too_much)
          end
        end

        def found(...) = Formats::Calendar::BusyTimes::Read.new(...)

        def busy(date, start, finish, summary)
          Formats::Calendar::BusyTimes::Busy.new(date: Date.iso8601(date), start:, finish:, summary:)
        end

        def value(busy) = [busy.date.iso8601, busy.start, busy.finish].join("|")

        def times(busy)
          return I18n.t("busy_times.all_day") unless busy.start || busy.finish

          "#{Formats::Times.clock(busy.start || 0)} – #{Formats::Times.clock(busy.finish || 1440)}"
        end

        def known
          @known ||= person.absences.where("from_date = to_date").pluck(:from_date, :from_minute, :to_minute)
            .to_set { |date, from, to| [date.iso8601, from, to].join("|") }
        end
      end
    end
  end
end
