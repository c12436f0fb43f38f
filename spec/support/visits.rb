# frozen_string_literal: true

# Requests in specs without a browser: signing in, forms with their token.
module Visits
  include Rack::Test::Methods

  def app = @app ||= App::Web::Application.rack

  def sign_in(member, password: Studios::PASSWORD)
    clear_cookies
    send_form "/sign-in", { "email" => member.account.email, "password" => password }
    send_form "/studios/#{member.studio_id}/enter", {}
  end

  def send_form(path, values)
    post path, values, { "HTTP_X_CSRF_TOKEN" => token }
  end

  def send_json(path, data)
    post path,
         data.to_json,
         { "CONTENT_TYPE" => "application/json", "HTTP_ACCEPT" => "application/json", "HTTP_X_CSRF_TOKEN" => token }
  end

  def token
    get "/sign-in"
    last_response.body[/name="csrf-token" content="([^"]+)"/, 1]
  end
end
