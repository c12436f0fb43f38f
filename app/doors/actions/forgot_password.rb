# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Mails a way back in, if the address is known; tells nobody whether it is.
      class ForgotPassword
        def initialize(email, now)
          @account = Records::Account.find_by(email: email.to_s.strip.downcase)
          @now = now
        end

        def run
          return unless @account

          _, token =
            Records::PasswordReset.issue(account: @account, expires_at: @now + (Records::PasswordReset::HOURS * 3600))
          Shared::Post.new(nil).send_out(
            to: @account.email,
            template: "reset",
            name: @account.name,
            link: "#{Settings.app_url}/reset/#{token}"
          )
        end
      end
    end
  end
end
