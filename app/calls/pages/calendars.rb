# frozen_string_literal: true

module App
  module Calls
    module Pages
      # The calendar addresses of a studio.
      class Calendars
        attr_reader :shown

        # shown: the address that was just made.
        def initialize(studio, shown: nil)
          @studio = studio
          @shown = shown
        end

        def screen = :calls
        def title = I18n.t("calendars.title")

        # [[label, [[value, name], …]], …] of what an address can be for.
        def subjects
          { "person" => @studio.people.present.order(:name), "piece" => @studio.pieces.running.order(:title),
            "room" => @studio.rooms.order(:name) }.map do |kind, rows|
            [I18n.t("calendars.kinds.#{kind}"), rows.map { |row| ["#{kind}:#{row.id}", name(row)] }]
          end
        end

        # [[Records::CalendarLink, name, day], …], newest first.
        def given
          @studio.calendar_links.live.includes(:person, :piece, :room).order(id: :desc)
            .map { |link| [link, name(link.subject), Shared::Dates.day(link.created_at.to_date)] }
        end

        private

        def name(row) = row.try(:title) || row.name
      end
    end
  end
end
