# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Checks e-mail and password. Says the same for a wrong address and a wrong password.
      class SignIn
        # Compared when no account has this address, so that the answer takes as long.
        NOBODY = BCrypt::Password.create("nobody", cost: Settings.test? ? 4 : BCrypt::Engine.cost).to_s

        def initialize(email, password, now)
          @email = email.to_s.strip.downcase
          @password = password.to_s
          @now = now
        end

        def run
          account = Records::Account.find_by(email: @email)
          return wait if account&.locked?(@now)
          return refuse(account) unless right?(account)

          account.sign_in_worked
          Shared::Result.ok(account)
        end

        private

        def right?(account)
          matches = BCrypt::Password.new(account&.password_digest || NOBODY).is_password?(@password)
          account && matches
        end

        def refuse(account)
          account&.fail_sign_in(@now)
          Shared::Result.no({ base: I18n.t("sign_in.wrong") })
        end

        def wait = Shared::Result.no({ base: I18n.t("sign_in.locked") })
      end
    end
  end
end
