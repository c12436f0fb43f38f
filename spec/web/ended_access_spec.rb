# frozen_string_literal: true

require "web_helper"

# Access ends when it is said to end.
RSpec.describe "access that ended", :web do
  let(:studio) { make_studio }
  let(:assistant) { make_member(studio, "assistant") }

  before { make_member(studio, "director") }

  it "is a private link of somebody who was archived, until they are back" do
    person = studio.people.create!(name: "Ada Test", dances: true)
    _, token = person.person_links.issue(studio_id: studio.id)
    statuses = [nil, NOW, nil].map do |archived_at|
      person.update!(archived_at:)
      get("/my/#{token}").status
    end
    expect(statuses).to eq [200, 404, 200]
  end

  it "is a private link revoked while its dancer was archived, for good" do
    person = studio.people.create!(name: "Ada Test", dances: true, archived_at: NOW)
    _, token = person.person_links.issue(studio_id: studio.id)
    sign_in make_member(studio, "director", name: "Other")
    send_form "/people/#{person.id}/link/revoke", {}
    person.archive_or_restore(true, NOW)
    expect(get("/my/#{token}").status).to eq 404
  end

  it "is an older invitation of a member who was taken out or left" do
    %i[take_out leave].each do |way|
      member = make_member(studio, "assistant", name: way.to_s)
      member.account.update!(password: "long enough 1")
      _, token = studio.invitations.issue(email: member.account.email, role: "assistant", expires_at: NOW + 86_400)
      if way == :leave
        App::Studio::Actions::Leave.new(member).run
      else
        App::Studio::Actions::ChangeRole.new(member, { "role" => "remove" }).run
      end
      send_form "/invitation/#{token}", { "name" => "X", "password" => "long enough 1" }
      aggregate_failures(way.to_s) do
        expect(last_response.status).to eq 422
        expect(studio.memberships.where(account: member.account)).to be_empty
      end
    end
  end

  it "is a link for a new password once another of them was used" do
    links = Array.new(2) do
      Records::PasswordReset.issue(account: assistant.account, expires_at: NOW + 3600).last
    end
    results = [links.last, links.first].map do |token|
      App::Doors::Actions::ResetPassword.new(token, "another long one 2", NOW).run.ok?
    end
    expect(results).to eq [true, false]
  end

  def cookies = rack_mock_session.cookie_jar.dup

  def with_cookies(jar)
    mine = rack_mock_session.cookie_jar
    rack_mock_session.cookie_jar = jar.dup
    yield
  ensure
    rack_mock_session.cookie_jar = mine
  end

  def inside? = get("/").status == 200

  it "is a cookie after signing out, wherever it was copied to" do
    sign_in assistant
    copied = cookies
    expect(with_cookies(copied) { inside? }).to be true
    send_form "/sign-out", {}
    expect(with_cookies(copied) { inside? }).to be false
  end

  it "is one place that was ended from another, and nobody else's" do
    sign_in assistant
    phone = cookies
    clear_cookies
    sign_in assistant
    stranger = make_member(make_studio, "director", name: "Stranger")
    foreign = Records::SignIn.begin(stranger.account, device: "phone", now: NOW).first
    other = assistant.account.sign_ins.order(:id).first
    expect(get("/signed-in").body).to include("A computer", "this one", "used just now")
    expect(send_form("/signed-in/#{foreign.id}/end", {}).status).to eq 404
    send_form "/signed-in/#{other.id}/end", {}
    expect([with_cookies(phone) { inside? }, inside?]).to eq [false, true]
    expect(Records::SignIn.exists?(foreign.id)).to be true
  end

  it "is a place not used for thirty days; when it was used is written every ten minutes at the most" do
    sign_in assistant
    seen = [5, 11, 15].map do |minutes|
      App::Shared::Clock.frozen_at = NOW + (minutes * 60)
      get "/"
      (assistant.account.sign_ins.first.last_seen_at - NOW) / 60
    end
    expect(seen).to eq [0, 11, 11]
    App::Shared::Clock.frozen_at = NOW + (31 * 86_400)
    expect(inside?).to be false
  end

  it "is an invitation that was withdrawn" do
    sign_in make_member(studio, "director", name: "Other")
    invitation, token = studio.invitations.issue(email: "new@example.org", role: "assistant", expires_at: NOW + 86_400)
    expect(get("/settings").body).to include "Withdraw the invitation of new@example.org"
    send_form "/invitations/#{invitation.id}/withdraw", {}
    expect(get("/settings").body).not_to include "Withdraw the invitation of new@example.org"
    clear_cookies
    send_form "/invitation/#{token}", { "name" => "New", "password" => "long enough words" }
    expect([last_response.status, Records::Account.exists?(email: "new@example.org")]).to eq [422, false]
  end
end
