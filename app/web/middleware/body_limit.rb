# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Refuses a body over the limit before anybody parses it.
      class BodyLimit
        def initialize(app, bytes:)
          @app = app
          @bytes = bytes
        end

        def call(env)
          return @app.call(env) if env["CONTENT_LENGTH"].to_i <= @bytes

          text =
            "This is more than #{@bytes / 1024 / 1024} MB, too much for one form. " \
            "Send a smaller piece; nothing was changed.\n"
          [413, { "content-type" => "text/plain; charset=utf-8" }, [text]]
        end
      end
    end
  end
end
