# frozen_string_literal: true

module App
  module People
    module Actions
      # A fresh private link for a dancer; the ones before stop working. The link is shown once.
      class RenewLink
        def initialize(person, now)
          @person = person
          @now = now
        end

        def run
          Records::PersonLink.transaction do
            @person.person_links.given.update_all(revoked_at: @now)
            _, token = @person.person_links.issue(studio_id: @person.studio_id)
            "#{Settings.app_url}/my/#{token}"
          end
        end
      end
    end
  end
end
