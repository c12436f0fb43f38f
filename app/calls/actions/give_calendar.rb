# frozen_string_literal: true

module App
  module Calls
    module Actions
      # A fresh private calendar address; the one before for the same thing stops working. It is shown once.
      class GiveCalendar
        OF = /\A(person|piece|room):(\d{1,18})\z/

        # of: "person:12", "piece:3" or "room:1"; behind: the private link with which it ends, or nil.
        def initialize(studio, of, now, behind: nil)
          @studio = studio
          @behind = behind
          @of = of.to_s
          @now = now
        end

        # Value: the address.
        def run
          subject = found or return Shared::Result.no({ of: I18n.t("calendars.which") })

          Records::CalendarLink.transaction do
            mine = { "#{kind}_id": subject.id }
            @studio.calendar_links.given.where(mine).update_all(revoked_at: @now)
            _, token = @studio.calendar_links.issue(**mine, person_link: @behind)
            Shared::Result.ok("#{Settings.app_url}/calendar/#{token}.ics")
          end
        end

        private

        def kind = @of[OF, 1]

        def found
          rows = { "person" => @studio.people.present, "piece" => @studio.pieces.running,
                   "room" => @studio.rooms }[kind]
          rows&.find_by(id: @of[OF, 2])
        end
      end
    end
  end
end
