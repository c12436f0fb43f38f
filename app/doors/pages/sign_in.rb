# frozen_string_literal: true

module App
  module Doors
    module Pages
      # The sign-in page; in a demo it has the demo people as doors.
      class SignIn
        attr_reader :email, :error

        def initialize(email: "", error: nil)
          @email = email
          @error = error
        end

        def title = I18n.t("sign_in.title")
        def doors = @doors ||= Reading::DemoAccounts.all
      end
    end
  end
end
