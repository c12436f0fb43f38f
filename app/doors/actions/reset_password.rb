# frozen_string_literal: true

module App
  module Doors
    module Actions
      # Sets a new password by a mailed link and signs every other place out. Links that were mailed before are used up
      # with it.
      class ResetPassword
        def initialize(token, password, now)
          @reset = Records::PasswordReset.by_token(token)
          @password = password.to_s
          @now = now
        end

        def run
          return Shared::Result.ok(@reset.account) if just_done?
          return Shared::Result.no({ base: I18n.t("sign_in.link_used") }) unless @reset&.open?(@now)

          account = @reset.account
          unless account.update(password: @password)
            return Shared::Result.no({ password: I18n.t("sign_in.password_short") })
          end

          @reset.update!(used_at: @now)
          Records::PasswordReset.where(account:, used_at: nil).update_all(expires_at: @now)
          account.sign_out_everywhere
          Shared::Result.ok(account)
        end

        private

        # The same form sent twice: its password is the account's since a moment ago.
        def just_done?
          @reset&.used_at&.between?(@now - 60, @now) && @reset.account.authenticate(@password)
        end
      end
    end
  end
end
