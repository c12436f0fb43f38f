# frozen_string_literal: true

module App
  module People
    module Actions
      # A fresh private link for a dancer, or for their guardian; the ones before of that kind stop working, and with
      # them the calendar addresses made behind them, unless they are to go on. The link is shown once.
      class RenewLink
        def initialize(person, now, kind: "dancer", calendars: false)
          @person = person
          @now = now
          @kind = kind
          @calendars = calendars
        end

        def run
          Records::PersonLink.transaction do
            before = @person.person_links.given.where(kind: @kind).ids
            made, token = @person.person_links.issue(studio_id: @person.studio_id, kind: @kind)
            made_behind(before).update_all(person_link_id: made.id) if @calendars
            @person.person_links.where(id: before).update_all(revoked_at: @now)
            "#{Settings.app_url}/my/#{token}"
          end
        end

        private

        def made_behind(links) = @person.studio.calendar_links.where(person_link_id: links)
      end
    end
  end
end
