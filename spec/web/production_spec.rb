# frozen_string_literal: true

require "web_helper"
require "open3"

# What a server that people use refuses to start with, and whom it answers.
RSpec.describe "production" do
  def check(url)
    env = {
      "APP_ENV" => "production",
      "DATABASE_URL" => "postgres://x",
      "SESSION_SECRET" => "s" * 64,
      "FILES_DIR" => "/tmp",
      "APP_URL" => url
    }
    Open3.capture2e(env, "ruby", "config/check_production.rb", chdir: HOUSE)
  end

  it "refuses an address that links in mails cannot be made from" do
    bad = ["http://studio.example", "studio.example", "https://", "https://studio.example/app", "https://a b", "x:y",
           "https://user:pw@studio.example", "https://studio.example?x=1"]
    answers = bad.to_h { |url| [url, check(url)] }
    expect(answers.reject { |_, (text, status)| !status.success? && text.include?("APP_URL must be") }.keys).to eq []
    ["https://studio.example", "https://studio.example:8443/"].each do |url|
      expect(check(url).last).to be_success
    end
  end

  it "refuses a database in which the demo's password opens a door" do
    demo = Records::Studio.create!(name: "Made up", demo: true)
    account = Records::Account.create!(name: "A", email: "a@example.org", password: App::Demo::Builder::PASSWORD)
    demo.memberships.create!(account:, role: "director")
    App::Demo::Guard.check
    allow(Settings).to receive(:production?).and_return(true)
    expect { App::Demo::Guard.check }.to raise_error(SystemExit).and output(/a@example.org signs in/).to_stderr
    demo.update!(demo: false)
    account.update!(email: "a@#{App::Demo::World::DOMAIN}")
    expect { App::Demo::Guard.check }.to raise_error(SystemExit).and output.to_stderr
    account.update!(password: "a password of its own")
    expect { App::Demo::Guard.check }.not_to raise_error
  end

  it "answers its own names only, outside production too", :web do
    codes = %w[127.0.0.1 localhost evil.example 192.0.2.7].map do |host|
      get("/sign-in", {}, { "HTTP_HOST" => "#{host}:9292" }).status
    end
    expect(codes).to eq [200, 200, 403, 403]
    get "/sign-in", {}, { "HTTP_HOST" => "127.0.0.1:9292", "HTTP_X_FORWARDED_HOST" => "evil.example" }
    expect(last_response.status).to eq 403
    expect(last_response.headers["content-security-policy"]).to include "default-src 'none'"
  end
end
