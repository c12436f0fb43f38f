# frozen_string_literal: true

module App
  module Doors
    module Pages
      # Setting a new password by a mailed link; a link that was used or is too old leads to a new one.
      class Reset
        attr_reader :token, :error

        def initialize(token, now, error: nil)
          @token = token
          @now = now
          @error = error
        end

        def title = I18n.t("sign_in.new_password")
        def open? = !!Records::PasswordReset.by_token(token)&.open?(@now)
      end
    end
  end
end
