# frozen_string_literal: true

module App
  module Calls
    module Pages
      # The call sheet as it hangs on the wall: first names and initials.
      class CallSheetPaper < CallSheet
        Print = Formats::Print
        private_constant :Print

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(title: Shared::Dates.day(rehearsal.date, year: true), lines: head, blocks:,
                           foot: Shared::Paper.foot(studio, @now))
        end

        private

        def posted? = true

        def head
          times = [rehearsal.start_minute, rehearsal.end_minute].map do |minute|
            Formats::Times.clock(minute)
          end.join(" – ")
          first = [times, rooms.map(&:name).join(", "), *pieces.map(&:title)].reject(&:empty?).join(" · ")
          [(I18n.t("papers.cancelled") if rehearsal.cancelled_at), first].compact
        end

        def blocks
          return [Print::Words.new(text: I18n.t("papers.nothing_told"))] if slots.empty?

          [
            slot_table, heading("called"), call_table, Print::Halves.new(left, right),
            Print::Words.new(text: I18n.t("papers.pain"), small: true)
          ]
        end

        def left
          [*under("away", away_names), *under("bring", bring),
           *under("take_care", cautions.map { |pair| pair.join(": ") })]
        end

        def right
          [*start_points, *under("watch", watch.map { |pair| pair.join(": ") }), *under("look", look)]
        end

        def heading(name) = Print::Heading.new(I18n.t("papers.#{name}"))
        def under(name, items) = items.empty? ? [] : [heading(name), Print::Points.new(items)]

        def slot_table
          rows = slots.map do |slot|
            times = [slot.start_minute, slot.end_minute].map { |minute| Formats::Times.clock(minute) }.join(" – ")
            [times, slot.title, who(slot), with(slot), slot.room&.name]
          end
          heads = [["time", 15], ["what", 30], ["who", 27], ["with", 17], ["room", 11]]
          Print::Table.new(columns: Shared::Paper.headed(*heads), rows:,
                           bold: 1)
        end

        def with(slot)
          others = slot.slot_people.reject { |called| called.role == "dancer" }
          names = others.map { |called| posted.of(called.person) }.join(", ")
          unattended?(slot) ? "#{names} #{I18n.t('calls.no_adult')}".strip : names
        end

        def call_table
          rows = call_groups.map do |(arrive, release, early), calls|
            alone = early ? ", #{I18n.t('papers.alone')}" : ""
            [Formats::Times.clock(arrive) + alone, Formats::Times.clock(release), names_of(calls)]
          end
          heads = [["be_there", 22], ["go_home", 14], ["who", 64]]
          Print::Table.new(columns: Shared::Paper.headed(*heads), rows:, bold: 0)
        end

        def names_of(calls) = calls.map { |call| posted.of(call.person) }.join(", ")
        def posted = @posted ||= Shared::PostedNames.new(people)

        def away_name(person) = posted.of(person)
        def away_names = away.empty? ? [] : [away.join(", ")]

        def start_points
          return [] if starts.empty?

          items = starts.map do |point|
            before = point.music_from.negative?
            from = before ? I18n.t("music.before") : I18n.t("music.in_at", at: Formats::Times.tenth(point.music_from))
            "#{point.name}: #{I18n.t('papers.count', count: point.count)}, #{from}"
          end
          under("start_points", items)
        end
      end
    end
  end
end
