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
          return Shared::Result.no({ base: I18n.t("sign_in.link_used") }) unless @reset&.open?(@now)

          account = @reset.account
          unless account.update(password: @password)
            return Shared::Result.no({ password: I18n.t("sign_in.password_short") })
          end

          Records::PasswordReset.where(account:, used_at: nil).update_all(used_at: @now)
          account.sign_out_everywhere
          account.sign_in_worked
          Shared::Result.ok(account)
        end
      end
    end
  end
end
