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

  # Asks for plans (what if, planning again, the ways to build it), lets the worker do it, and answers the page.
  def worked_out(path, asked = {})
    send_form path, asked
    get path
    CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  end

  # Asks for plans and takes one of them: the first, or the one a way leads to.
  def take_offer(piece, path, asked = {}, way: nil)
    send_form path, asked
    return last_response unless last_response.redirect?

    offer = piece.plan_offers.order(:id).last
    send_form "/pieces/#{piece.id}/plan/offers/#{offer.id}/take", { "way" => way || offer.plans.keys.first }
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
