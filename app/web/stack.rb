# frozen_string_literal: true

module App
  module Web
    # The rack middleware around the application, outermost first.
    module Stack
      WEEK = 7 * 86_400

      module_function

      def build(app)
        configure_throttle
        Rack::Builder.new do
          use Middleware::RequestLog
          use Middleware::SecurityHeaders
          use Rack::Static,
              urls: %w[/styles /scripts /fonts /images /favicon.svg /manifest.webmanifest],
              root: "public",
              header_rules: [[:all, { "cache-control" => "public, max-age=#{WEEK}" }]]
          use Middleware::BodyLimit, bytes: 2 * 1024 * 1024
          use Rack::Timeout, service_timeout: 30 unless Settings.test?
          use Rack::Attack unless Settings.test?
          use Middleware::Connections
          use Rack::Session::Cookie,
              key: "join_chain",
              secret: Settings.session_secret,
              same_site: :lax,
              httponly: true,
              secure: Settings.production?,
              expire_after: Helpers::Identity::SESSION_DAYS * 86_400
          use Middleware::FormToken
          run app
        end.to_app
      end

      # Per address: signing in and mailed links are slow on purpose. Each account is also locked in the database.
      def configure_throttle
        Rack::Timeout::Logger.level = Logger::FATAL
        Rack::Attack.cache.store = ActiveSupport::Cache::MemoryStore.new(size: 4 * 1024 * 1024)
        Rack::Attack.throttle("doors", limit: 30, period: 60) do |r|
          r.ip if r.post? && r.path.match?(%r{\A/(sign-in|forgot|reset|invitation|begin)})
        end
        Rack::Attack.throttled_responder = lambda do |_request|
          [
            429,
            { "content-type" => "text/plain; charset=utf-8", "retry-after" => "60" },
            ["Too many tries from here. Please wait a minute and try again.\n"]
          ]
        end
      end
    end
  end
end
