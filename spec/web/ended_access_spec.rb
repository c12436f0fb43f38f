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
    person.archive_or_restore(NOW)
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
end
