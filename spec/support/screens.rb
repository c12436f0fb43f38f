# frozen_string_literal: true

require "capybara/rspec"
require "capybara/cuprite"

# The browser: headless Chromium on this machine only; every policy violation and console error is collected.
FLAGS = {
  "no-sandbox" => nil,
  "disable-gpu" => nil,
  "disable-dev-shm-usage" => nil,
  "disable-quic" => nil,
  "no-first-run" => nil,
  "disable-background-networking" => nil,
  "disable-component-update" => nil,
  "disable-sync" => nil,
  "disable-default-apps" => nil,
  "disable-extensions" => nil,
  "no-proxy-server" => nil,
  "host-resolver-rules" => "MAP * ~NOTFOUND , EXCLUDE 127.0.0.1 , EXCLUDE localhost",
  "force-prefers-reduced-motion" => nil,
  "force-color-profile" => "srgb"
}.freeze

Capybara.register_driver(:chromium) do |app|
  Capybara::Cuprite::Driver.new(
    app,
    browser_options: FLAGS.dup,
    process_timeout: 60,
    timeout: 60,
    window_size: [1280, 800],
    js_errors: true,
    extensions: [File.expand_path("violations.js", __dir__)]
  )
end
Capybara.default_driver = Capybara.javascript_driver = :chromium
Capybara.app = App::Web::Application.rack
Capybara.server = :puma, { Silent: true, Threads: "0:4" }
# Generous: specs share the machine with another process, and with the round of kills.
Capybara.default_max_wait_time = 15
Capybara.enable_aria_label = true

# What system specs say.
module Screens
  AXE = File.read(File.expand_path("../../node_modules/axe-core/axe.min.js", __dir__), encoding: "UTF-8")

  # Signed in without the browser, which is given the cookies; the form itself is sent in whole_way_spec.
  def enter(member)
    asked = Rack::Test::Session.new(Capybara.app)
    asked.get "/sign-in", {}, "HTTP_HOST" => host
    sent = { "email" => member.account.email, "password" => Studios::PASSWORD,
             "authenticity_token" => asked.last_response.body[/name="csrf-token" content="([^"]+)"/, 1] }
    asked.post "/sign-in", sent, "HTTP_HOST" => host
    Array(asked.last_response.headers.fetch("set-cookie")).flat_map(&:lines).each { |cookie| give(cookie) }
    visit "/"
    expect(page).to have_css("header.bar")
  end

  # Through a door of the demo; what is visited before the answer came would lose it.
  def walk_in(name)
    visit "/sign-in"
    click_button name
    expect(page).to have_no_css(".doors").and have_css("header.bar")
  end

  def host = "127.0.0.1:#{Capybara.current_session.server.port}"

  def give(cookie)
    name, value = cookie[/\A[^;]+/].split("=", 2)
    page.driver.set_cookie(name, value, domain: "127.0.0.1", path: "/", httponly: true)
  end

  def violations = evaluate_script("window.policyViolations || []")

  # What axe finds that is serious, as "rule: where".
  def serious_faults
    page.driver.browser.execute(AXE)
    found = page.driver.browser.evaluate_async(<<~JS, 20)
      const where = (violation) => violation.nodes.slice(0, 3).map((node) => node.target.join(" ")).join(", ");
      axe.run(document, { resultTypes: ["violations"] }).then((result) => arguments[0](JSON.stringify(result.violations
        .filter((violation) => ["serious", "critical"].includes(violation.impact))
        .map((violation) => violation.id + ": " + where(violation)))))
    JS
    JSON.parse(found)
  end
end

RSpec.configure do |config|
  config.include Screens, :browser
  config.include Capybara::DSL, :browser
  config.include Capybara::RSpecMatchers, :browser
  config.after(:each, :browser) do |example|
    next Capybara.reset_sessions! if example.exception

    expect(violations).to be_empty
    Capybara.reset_sessions!
  end
end
