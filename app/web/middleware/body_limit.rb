# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Refuses a body over the limit before anybody parses it. Where files are sent the limit is another.
      class BodyLimit
        # files: {pattern of a path => bytes}.
        def initialize(app, bytes:, files: {})
          @app = app
          @bytes = bytes
          @files = files
        end

        def call(env)
          bytes = @files.find { |pattern, _| pattern.match?(env["PATH_INFO"]) }&.last || @bytes
          return @app.call(env) if env["CONTENT_LENGTH"].to_i <= bytes

          text =
            "This is more than #{bytes / 1024 / 1024} MB, too much for one form. " \
            "Send a smaller piece; nothing was changed.\n"
          [413, { "content-type" => "text/plain; charset=utf-8" }, [text]]
        end
      end
    end
  end
end
