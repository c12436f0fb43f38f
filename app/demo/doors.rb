# frozen_string_literal: true

module App
  module Demo
    # How to walk into the demo, as text for the terminal.
    class Doors
      def text
        studio = Records::Studio.find_by!(demo: true)
        people =
          Reading::DemoAccounts.all.map { |account, role| "    #{account.email.ljust(30)} #{role}" }
        ["  Demo people (password #{Builder::PASSWORD}), or choose a door on the sign-in page:", *people,
         "    #{Settings.app_url}/my/demo-#{studio.id}   a dancer's own page"].join("\n")
      end
    end
  end
end
