# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Checks e-mail and password. Says the same, as slowly, for a wrong address and a wrong password; too many tries
      # wait, whether there is such an account or not.
      class SignIn
        # Compared when no account has this address, so that the answer takes as long.
        def self.nobody
          @nobody ||= BCrypt::Password.create("nobody", cost: Settings.test? ? 4 : BCrypt::Engine.cost).to_s
        end

        def initialize(email, password, throttle)
          @email = email.to_s.strip.downcase
          @password = password.to_s
          @throttle = throttle
        end

        # Value: the account, or :wait.
        def run
          return Shared::Result.no({ base: I18n.t("sign_in.locked") }, :wait) if @throttle.account_full?(@email)

          account = Records::Account.find_by(email: @email)
          return Shared::Result.no({ base: I18n.t("sign_in.wrong") }) unless right?(account)

          @throttle.forget(@email)
          Shared::Result.ok(account)
        end

        private

        def right?(account)
          matches = BCrypt::Password.new(account&.password_digest || self.class.nobody).is_password?(@password)
          account && matches
        end
      end
    end
  end
end
