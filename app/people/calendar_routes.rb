# frozen_string_literal: true

module App
  module People
    # When somebody is away, read from a calendar of theirs: looked at first, then taken.
    module CalendarRoutes
      def self.registered(app)
        app.allow :director, :assistant, post: "/people/:id/calendar", takes: { file: :upload } do
          shown = Pages::BusyTimes.new(find(studio.people), params["file"], today)
          page "people/busy_times", shown, status: shown.fault ? 422 : 200
        end
        app.allow :director, :assistant, post: "/people/:id/calendar/take", takes: { days: :texts } do
          person = find(studio.people)
          count = Actions::TakeBusyTimes.new(person, params["days"].to_a).run
          say t("busy_times.taken", count:)
          redirect "/people/#{person.id}#dates"
        end
      end
    end
  end
end
