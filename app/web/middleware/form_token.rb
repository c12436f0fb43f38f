# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Every changing request must carry the session's token. Answers in the application's own words.
      class FormToken < Rack::Protection::AuthenticityToken
        def accepts?(env) = safe?(env) || super

        def deny(_env)
          [403, { "content-type" => "text/plain; charset=utf-8" },
           ["This page was open too long or in another sign-in. Go back, reload it and send it again: what you " \
            "typed is still there.\n"]]
        end
        alias default_reaction deny
      end
    end
  end
end
