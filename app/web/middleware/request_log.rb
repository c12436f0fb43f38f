# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Gives each request an id and logs one line for it. A path is written out only where a route of ours knows all of
      # it; of a link's token, and of whatever is no route, nothing is kept.
      class RequestLog
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
          SemanticLogger["Web"].info(
            "#{env['REQUEST_METHOD'].to_s[0, 10]} #{path(env)}",
            request_id: env["join_chain.request_id"],
            status:,
            ms:
          )
        end

        def path(env)
          rule = env["join_chain.rule"]
          return rule.logged(env["PATH_INFO"]) if rule

          first, more = env["PATH_INFO"].to_s.delete_prefix("/").split("/", 2)
          "/#{first.to_s.match?(/\A[a-z-]{0,20}\z/) ? first : '[hidden]'}#{'/[hidden]' if more}"
        end
      end
    end
  end
end
