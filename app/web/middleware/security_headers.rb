# frozen_string_literal: true

module App
  module Web
    module Middleware
      # Headers on every answer: a strict content policy, no framing, no sniffing, no referrer to other places.
      class SecurityHeaders
        POLICY = [
          "default-src 'none'",
          "script-src 'self'",
          "style-src 'self'",
          "img-src 'self' data: blob:",
          "media-src 'self' blob:",
          "font-src 'self'",
          "connect-src 'self'",
          "form-action 'self'",
          "base-uri 'none'",
          "frame-ancestors 'none'",
          "manifest-src 'self'",
          "worker-src 'self'"
        ].join("; ").freeze
        HEADERS = {
          "content-security-policy" => POLICY,
          "x-content-type-options" => "nosniff",
          "x-frame-options" => "DENY",
          "referrer-policy" => "same-origin",
          "permissions-policy" => "camera=(), microphone=(), geolocation=()"
        }.freeze

        def initialize(app) = @app = app

        def call(env)
          status, headers, body = @app.call(env)
          headers = HEADERS.merge(headers)
          headers["strict-transport-security"] = "max-age=31536000" if Settings.production?
          headers["cache-control"] ||= "no-store"
          [status, headers, body]
        end
      end
    end
  end
end
