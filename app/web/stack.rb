# frozen_string_literal: true

module App
  module Web
    # The rack middleware around the application, outermost first.
    module Stack
      WEEK = 7 * 86_400
      MEGABYTE = 1024 * 1024
      # Where files are sent, and how much of them.
      UPLOADS = {
        %r{\A/pieces/\d+/track\z} => 40 * MEGABYTE,
        %r{\A/pieces/\d+/clips\z} => 200 * MEGABYTE,
        %r{\A/pieces/\d+/music/midi\z} => 4 * MEGABYTE,
        %r{\A/(roster|pieces/\d+/sections/\d+/paste)/preview\z} => 10 * MEGABYTE,
        %r{\A/files/piece(/preview)?\z} => 8 * MEGABYTE,
        %r{\A/studios/archive\z} => 500 * MEGABYTE,
        %r{\A/my/[\w-]+/reviews\z} => 60 * MEGABYTE
      }.freeze

      # What any other form may send.
      FORM = 2 * MEGABYTE

      module_function

      # Bytes that a request to this path may hold: more than a form only with a ticket.
      def most(path, query)
        most = UPLOADS.find { |pattern, _| pattern.match?(path) }&.last
        most && UploadTicket.good?(path, query, Shared::Clock.now) ? most : FORM
      end

      def build(app)
        Rack::Timeout::Logger.level = Logger::FATAL
        Rack::Builder.new do
          use Middleware::NormalPath
          use Middleware::RequestLog
          use Middleware::SecurityHeaders
          use Rack::Static,
              urls: %w[/styles /scripts /fonts /images /sounds /favicon.svg /manifest.webmanifest],
              root: "public",
              header_rules: [[:all, { "cache-control" => "public, max-age=#{WEEK}" }]]
          use Middleware::BodyLimit
          use Middleware::ReadableRequest
          use Rack::Timeout, service_timeout: 30 unless Settings.test?
          use Middleware::Connections
          use Rack::Session::Cookie,
              key: "join_chain",
              secret: Settings.session_secret,
              same_site: :lax,
              httponly: true,
              secure: Settings.production?,
              expire_after: Records::SignIn::DAYS * 86_400
          use Middleware::FormToken
          run app
        end.to_app
      end
    end
  end
end
