# frozen_string_literal: true

require "rack/request"

module App
  module Web
    module Middleware
      # Lets through only what can be read: a path, parameters and headers that are text, no deeper and no more of them
      # than a form has. The rest is answered with 400, in words, before anything is done.
      class ReadableRequest
        HEADERS = %w[HTTP_ACCEPT HTTP_COOKIE HTTP_HOST HTTP_USER_AGENT HTTP_X_CSRF_TOKEN CONTENT_TYPE].freeze
        DEEPEST = 100
        # What stands where half a letter pair stood: a number that is no letter.
        HALF = "\uFFFF"
        ESCAPE = /\\(?:u(?:d[89ab]\h\h\\ud[c-f]\h\h|(?<half>d[89a-f]\h\h)|\h{4})|.)/i

        def initialize(app) = @app = app

        def call(env)
          fault = fault(env)
          return @app.call(env) unless fault

          [400, { "content-type" => "text/plain; charset=utf-8" }, ["#{I18n.t("errors.unreadable_#{fault}")}\n"]]
        end

        private

        def fault(env)
          return env[NormalPath::UNREADABLE] if env[NormalPath::UNREADABLE]
          return "headers" unless HEADERS.all? { |name| text?(env[name].to_s) }

          request = Rack::Request.new(env)
          return "sent" unless [request.GET, request.POST].all? { |values| readable?(values) }

          "json" if env["CONTENT_TYPE"].to_s.include?("json") && !json?(env)
        rescue Rack::BadRequest, ArgumentError, EOFError, RangeError
          "sent"
        end

        def text?(text) = text.dup.force_encoding(Encoding::UTF_8).valid_encoding?

        def readable?(value, depth = 0)
          return false if depth > DEEPEST

          case value
          when String then text?(value)
          when Array then value.all? { |each| readable?(each, depth + 1) }
          when Hash then upload?(value) || value.all? { |name, each| text?(name.to_s) && readable?(each, depth + 1) }
          else true
          end
        end

        # A file is read by whoever takes it; its name is not used.
        def upload?(value) = value[:tempfile].respond_to?(:read)

        # Half of a letter pair is no letter; what it stands in is refused by whoever takes it (HALF), the rest is read.
        def whole_letters(text)
          return text unless text.match?(/\\ud[89a-f]/i)

          text.gsub(ESCAPE) { Regexp.last_match[:half] ? '\uffff' : Regexp.last_match[0] }
        end

        # What a script sent is parsed once, here.
        def json?(env)
          text = env["rack.input"].read.to_s.force_encoding(Encoding::UTF_8)
          return false unless text.valid_encoding?

          env["join_chain.json"] = JSON.parse(whole_letters(text), max_nesting: DEEPEST)
          true
        rescue JSON::ParserError
          false
        end
      end
    end
  end
end
