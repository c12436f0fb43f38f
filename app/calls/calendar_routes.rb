# frozen_string_literal: true

module App
  module Calls
    # Calendars elsewhere: private addresses of calls, made and taken back.
    module CalendarRoutes
      def self.registered(app)
        app.allow :anyone, get: "/calendar/:token.ics", secret: :token do
          link = Records::CalendarLink.live.by_token(params["token"]) || halt(404)
          events = Reading::CalendarEvents.new(link, link.studio.local(Shared::Clock.now))
          beside
          content_type "text/calendar"
          headers "cache-control" => "private, max-age=900"
          text = Formats::Calendar.render(events.all, name: events.name, zone: events.zone)
          etag Digest::SHA256.hexdigest(text)
          text
        end
        app.allow :director, :assistant, get: "/calls/calendars" do
          page "calls/calendars", Pages::Calendars.new(studio, shown: session.delete("shown_calendar"))
        end
        app.allow :director, :assistant, post: "/calls/calendars", takes: { of: :text } do
          result = Actions::GiveCalendar.new(studio, params["of"], Shared::Clock.now).run
          result.ok? ? session["shown_calendar"] = result.value : say(result.errors.values.first)
          redirect "/calls/calendars"
        end
        app.allow :director, :assistant, post: "/calls/calendars/:id/revoke" do
          find(studio.calendar_links.given).update!(revoked_at: Shared::Clock.now)
          say t("calendars.revoked")
          redirect "/calls/calendars"
        end
        own(app)
      end

      # A dancer's, or a guardian's, own address for the calls.
      def self.own(app)
        app.allow :bearer, post: "/my/:token/calendar", secret: :token do
          of = "person:#{bearer.person_id}"
          give = Actions::GiveCalendar.new(bearer.studio, of, Shared::Clock.now, behind: bearer)
          session["shown_calendar"] = give.run.value
          redirect "/my/#{params['token']}#calendar"
        end
        app.allow :bearer, post: "/my/:token/calendar/revoke", secret: :token do
          bearer.studio.calendar_links.given.where(person_id: bearer.person_id)
            .update_all(revoked_at: Shared::Clock.now)
          say t("calendars.revoked")
          redirect "/my/#{params['token']}#calendar"
        end
      end
    end
  end
end
