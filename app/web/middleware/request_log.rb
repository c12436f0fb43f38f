# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Gives each request an id and logs one line for it, secrets and link tokens left out.
      class RequestLog
        SECRET = %r{\A/(my|invitation|reset|calendar)/[^/]+}

        def initialize(app) = @app = app

        def call(env)
          id = env["join_chain.request_id"] = SecureRandom.hex(8)
          started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          status, headers, body = SemanticLogger.tagged(request_id: id) { @app.call(env) }
          headers["x-request-id"] = id
          log(env, status, started)
          [status, headers, body]
        end

        private

        def log(env, status, started)
          ms = ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000).round(1)
          path = env["PATH_INFO"].sub(SECRET) { "/#{Regexp.last_match[1]}/[hidden]" }
          SemanticLogger["Web"].info(
            "#{env['REQUEST_METHOD']} #{path}",
            request_id: env["join_chain.request_id"],
            status:,
            ms:
          )
        end
      end
    end
  end
end
