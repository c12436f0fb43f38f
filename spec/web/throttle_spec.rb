# frozen_string_literal: true

require "web_helper"
require "support/concurrently"

# Guessing is slow, for everybody together, and tells nobody which addresses there are.
RSpec.describe "guessing at the doors", :web do
  include Concurrently

  let(:member) { make_member(make_studio, "director") }
  let(:email) { member.account.email }

  def guess(address, password = "wrong", path: "/sign-in", from: "203.0.113.7")
    key = token
    post path, { "email" => address, "password" => password },
         { "HTTP_X_CSRF_TOKEN" => key, "REMOTE_ADDR" => from }
    last_response
  end

  def wording(answer) = answer.body.gsub(/(content|value)="[^"]*"/, "")

  it "waits after six wrong passwords, in the same words for an address that is unknown" do
    known = Array.new(8) { guess(email) }
    unknown = Array.new(8) { guess("nobody@example.org", from: "203.0.113.8") }
    expect(known.map(&:status)).to eq [*([422] * 6), 429, 429]
    expect(unknown.map(&:status)).to eq known.map(&:status)
    expect(unknown.map { |answer| wording(answer) }).to eq(known.map { |answer| wording(answer) })
    expect(guess(email, Studios::PASSWORD).status).to eq 429
    App::Shared::Clock.frozen_at = NOW + 900
    expect(guess(email, Studios::PASSWORD).status).to eq 302
  end

  it "counts a password that is tried at the door of a new studio, or with an invitation, with the others" do
    studio = member.studio
    _, token = studio.invitations.issue(email:, role: "assistant", expires_at: NOW + 86_400)
    begin_again = { "studio" => studio.name, "name" => "X", "email" => email, "time_zone" => "Europe/London" }
    6.times { send_form "/begin", { **begin_again, "password" => "wrong" } }
    10.times { send_form "/invitation/#{token}", { "name" => "X", "password" => "wrong" } }
    send_form "/begin", { **begin_again, "password" => Studios::PASSWORD }
    expect([last_response.status, last_response.body]).to match [422, /Too many wrong passwords/]
    send_form "/invitation/#{token}", { "name" => "X", "password" => Studios::PASSWORD }
    expect([last_response.status, last_response.body]).to match [422, /Too many wrong passwords/]
    expect(studio.memberships.count).to eq 1
  end

  it "keeps somebody else's guesses from locking an account from where its owner sits" do
    7.times { guess(email) }
    expect(guess(email, Studios::PASSWORD, from: "203.0.113.9").status).to eq 302
  end

  it "lets a device in on which its owner came in before, and by a mailed link, whatever others try" do
    guess(email, Studios::PASSWORD)
    send_form "/sign-out", {}
    known = rack_mock_session.cookie_jar["known_device"]
    clear_cookies
    41.times { |i| guess(email, from: "203.0.113.#{i}") }
    expect(guess(email, Studios::PASSWORD, from: "203.0.113.99").status).to eq 429
    _, token = Records::PasswordReset.issue(account: member.account, expires_at: NOW + 3600)
    send_form "/reset/#{token}", { "password" => "another long one" }
    expect(last_response.status).to eq 302
    clear_cookies
    set_cookie "known_device=#{known}"
    expect(guess(email, "another long one", from: "203.0.113.99").status).to eq 302
  end

  it "gives a known device tries of its own, for that account alone, and no other may copy what it says" do
    guess(email, Studios::PASSWORD)
    known = rack_mock_session.cookie_jar["known_device"]
    clear_cookies
    set_cookie "known_device=#{known}"
    expect(Array.new(11) { |i| guess(email, from: "203.0.113.#{i}").status }.tally).to eq(422 => 10, 429 => 1)
    device = App::Doors::KnownDevice.new(known)
    expect([device.at(email), device.at("other@example.org"), device.at(email.sub(/.\z/, "x"))])
      .to match [/\A\h{16}\z/, nil, nil]
    expect(App::Doors::KnownDevice.new(known.tr("0-9a-f", "1-9a-f0")).at(email)).to be_nil
    both = App::Doors::KnownDevice.new(device.with("sheet 7"))
    expect([both.at("sheet 7"), both.at(email)].map(&:class)).to eq [String, String]
  end

  it "counts every try of one address, whatever account it is about and however the path is spelled" do
    codes = Array.new(32) { |i| guess("a#{i}@example.org", path: i.even? ? "/sign-in" : "/%73ign-in").status }
    expect(codes.tally).to eq(422 => 30, 429 => 2)
    expect(last_response.headers["retry-after"]).to eq "60"
  end

  it "never counts what a rehearsal needs" do
    sign_in member
    expect { 5.times { get "/" } }.not_to(change { Records::Try.sum(:count) })
    expect { send_form "/people", { "name" => "Ada New", "dances" => "1" } }.not_to(change { Records::Try.sum(:count) })
  end

  it "does the same for a known and an unknown address that forgot, and mails three times at the most" do
    allow(App::Jobs::MailReset).to receive(:enqueue).and_call_original
    answers = [email, "nobody@example.org"].map do |address|
      send_form "/forgot", { "email" => address }
      wording(last_response)
    end
    expect(answers.uniq.size).to eq 1
    expect(App::Jobs::MailReset).to have_received(:enqueue).twice
    5.times { send_form "/forgot", { "email" => email } }
    expect(Records::Mail.count).to eq 3
  end

  it "counts nine guesses at once as nine", :committed do
    throttle = App::Doors::Throttle.new("203.0.113.7", NOW)
    gate = Queue.new
    answers = Queue.new
    guesses = Array.new(9) do
      lambda do |_|
        gate.pop
        answers << App::Doors::Actions::SignIn.new(email, "wrong", throttle).run.value
      end
    end
    9.times { gate << true }
    member
    together(*guesses)
    expect(Array.new(9) { answers.pop }.tally).to eq(nil => 6, :wait => 3)
  end
end
