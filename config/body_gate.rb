# frozen_string_literal: true

require "puma"
require "puma/server"

# The web server reads a request's body before the application sees the request. How much of it may come is asked right
# after its headers, so that nobody who was given no ticket sends more than a form (App::Web::Stack.most).
module BodyGate
  private

  def setup_body
    self.http_content_length_limit = App::Web::Stack.most(@env["REQUEST_PATH"].to_s, @env["QUERY_STRING"].to_s)
    super
  end
end
Puma::Client.prepend(BodyGate)
