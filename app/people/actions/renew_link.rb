# frozen_string_literal: true

module App
  module People
    module Actions
      # A fresh private link for a dancer, or for their guardian; the ones before of that kind stop working. The link is
      # shown once.
      class RenewLink
        def initialize(person, now, kind: "dancer")
          @person = person
          @now = now
          @kind = kind
        end

        def run
          Records::PersonLink.transaction do
            @person.person_links.given.where(kind: @kind).update_all(revoked_at: @now)
            _, token = @person.person_links.issue(studio_id: @person.studio_id, kind: @kind)
            "#{Settings.app_url}/my/#{token}"
          end
        end
      end
    end
  end
end
