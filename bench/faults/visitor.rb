# frozen_string_literal: true

require "net/http"
require "json"
require "cgi"

module Bench
  module Faults
    # Somebody at a browser: signs in, reads pages, sends forms and scripts' objects. What gets no answer, or 503, is
    # sent again as it is until it is answered, as people and the application's own scripts do.
    class Visitor
      class Refused < StandardError
      end

      TROUBLE = [SystemCallError, IOError, Timeout::Error, Net::ProtocolError].freeze

      attr_reader :cookie

      # stopped: whether to give up waiting.
      def initialize(port, stopped: -> { false })
        @port = port
        @stopped = stopped
        @cookie = nil
      end

      def sign_in(email, password)
        send_form("/sign-in", { "email" => email, "password" => password })
        raise Refused, "could not sign in" unless read("/").include?(%(name="csrf-token"))
      end

      # A page's text.
      def read(path) = patiently { get(path) }&.body.to_s

      def token(path = "/signed-in") = CGI.unescapeHTML(read(path)[/name="csrf-token" content="([^"]+)"/, 1].to_s)

      # Whether a form was taken (it led somewhere). Its token is its key.
      def send_form(path, values, key: token(@cookie ? "/signed-in" : "/sign-in"))
        answer = patiently { post(path, URI.encode_www_form({ **values, "authenticity_token" => key })) }
        answer.is_a?(Net::HTTPRedirection)
      end

      # Whether a script's object was taken.
      def send_json(path, data, token)
        headers = {
          "Content-Type" => "application/json",
          "Accept" => "application/json",
          "X-CSRF-Token" => token
        }
        patiently { post(path, JSON.generate(data), headers) }.is_a?(Net::HTTPSuccess)
      end

      private

      # nil where it was stopped meanwhile.
      def patiently(&)
        until @stopped.call
          answer = once(&)
          return answer if answer && answer.code != "503"

          sleep 0.2
        end
      end

      def once
        yield
      rescue *TROUBLE
        nil
      end

      def get(path) = request(Net::HTTP::Get.new(path))

      def post(path, body, headers = { "Content-Type" => "application/x-www-form-urlencoded" })
        request(Net::HTTP::Post.new(path, headers).tap { |made| made.body = body })
      end

      def request(made)
        made["Cookie"] = @cookie if @cookie
        answer = Net::HTTP.start("127.0.0.1", @port, open_timeout: 2, read_timeout: 10) { |http| http.request(made) }
        given = answer.get_fields("set-cookie")&.map { |cookie| cookie[/\A[^;]+/] }
        @cookie = given.join("; ") if given
        answer
      end
    end
  end
end
