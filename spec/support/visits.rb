# frozen_string_literal: true

require "nokogiri"

# Requests in specs without a browser: signing in, forms with their token.
module Visits
  include Rack::Test::Methods

  def app = @app ||= App::Web::Application.rack

  def sign_in(member, password: Studios::PASSWORD)
    clear_cookies
    send_form "/sign-in", { "email" => member.account.email, "password" => password }
    send_form "/studios/#{member.studio_id}/enter", {}
  end

  # A form is opened before it is sent, as people do: what it remembers of that goes with it (Shared::OpenForm).
  def send_form(path, values)
    values = { "was" => opened(path), **values } if remembers?(path)
    post path, values, { "HTTP_X_CSRF_TOKEN" => token }
  end

  # Where the forms stand that several people may have open at once.
  FORM_PAGES = {
    %r{\A(/pieces/\d+/plan)/wishes\z} => '\1',
    %r{\A(/pieces/\d+)/cast\z} => '\1/groups',
    %r{\A(/pieces/\d+/groups)/\d+\z} => '\1',
    %r{\A(/pieces/\d+/music)(?:/cut)?\z} => '\1',
    %r{\A(/pieces/\d+/sharing)\z} => '\1',
    %r{\A(/pieces/\d+/joins)/\d+/owner\z} => ->(path) { path.delete_suffix("/owner") },
    %r{\A(/pieces/\d+)/ends/\w+\z} => '\1/joins',
    %r{\A(/people/\d+)/visits\z} => '\1',
    %r{\A(/pieces/\d+/joins)/checking\z} => '\1',
    %r{\A(/rehearsals/\d+)/register\z} => '\1/call-sheet',
    %r{\A(/rehearsals/\d+/afterwards)\z} => '\1',
    %r{\A(/settings)\z} => '\1',
    %r{\A(/pieces/\d+)/floor\z} => '\1/spacing?at=1'
  }.freeze
  private_constant :FORM_PAGES

  def remembers?(path) = FORM_PAGES.any? { |pattern, _| pattern.match?(path) }

  # What a form remembers that is opened now.
  def opened(path)
    pattern, page = FORM_PAGES.find { |known, _| known.match?(path) }
    get(page.is_a?(Proc) ? page.call(path) : path.sub(pattern, page))
    forms = Nokogiri::HTML(last_response.body).css("form:has(input[name=was])")
    form = forms.find { |each| each["action"].to_s.split("#").first == path }
    form ||= forms.find { |each| each["action"].nil? }
    form&.at_css("input[name=was]")&.[]("value")
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
