# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Writes the path one way before anything else looks at it, so that nobody passes a rule about paths by spelling
      # one differently: /%73ign-in is /sign-in. Decoded once; what is no text afterwards is marked as unreadable.
      class NormalPath
        UNREADABLE = "join_chain.unreadable"

        def initialize(app) = @app = app

        def call(env)
          path = decoded(env["PATH_INFO"].to_s)
          env[UNREADABLE] = "path" unless path
          env["PATH_INFO"] = path ? Rack::Utils.escape_path(path) : "/unreadable"
          @app.call(env)
        end

        private

        def decoded(path)
          text = path.b.gsub(/%(\h\h)/n) { Regexp.last_match[1].hex.chr }.force_encoding(Encoding::UTF_8)
          text.squeeze("/") if text.valid_encoding? && !text.match?(/[\x00-\x1f\x7f]/)
        end
      end
    end
  end
end
