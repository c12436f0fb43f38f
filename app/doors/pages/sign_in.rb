# frozen_string_literal: true

module App
  module Doors
    module Pages
      # The sign-in page; in a demo it has the demo people as doors.
      class SignIn
        attr_reader :email, :error

        # [[account, what they are], …] of the demo studio; none in production.
        def self.demo_accounts
          return [] if Settings.production?

          studio = Records::Studio.find_by(demo: true) or return []
          studio.memberships.includes(:account).order(:id)
            .map { |place| [place.account, I18n.t("roles.#{place.role}")] }
        end

        def initialize(email: "", error: nil)
          @email = email
          @error = error
        end

        def title = I18n.t("sign_in.title")
        def doors = @doors ||= SignIn.demo_accounts
      end
    end
  end
end
