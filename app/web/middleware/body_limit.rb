# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Refuses a body over the limit before anybody parses it. Where files are sent the limit is another, for whoever
      # has a ticket (Stack.most).
      class BodyLimit
        def initialize(app) = @app = app

        def call(env)
          most = Stack.most(env["PATH_INFO"], env["QUERY_STRING"])
          return @app.call(env) if env["CONTENT_LENGTH"].to_i <= most

          text =
            "This is more than #{most / Stack::MEGABYTE} MB, too much for one form, or the page was open for more " \
            "than a day. Reload the page, or send a smaller piece; nothing was changed.\n"
          [413, { "content-type" => "text/plain; charset=utf-8" }, [text]]
        end
      end
    end
  end
end
