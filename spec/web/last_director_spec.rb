# frozen_string_literal: true

require "web_helper"
require_relative "../support/concurrently"

# A studio always has a director, whatever its members do at once.
RSpec.describe "the last director", :committed, :web do
  include Concurrently

  let(:studio) { make_studio }
  let!(:one) { make_member(studio, "director", name: "One") }
  let!(:two) { make_member(studio, "director", name: "Two") }

  def directors = studio.memberships.where(role: "director").count
  def place(member) = Records::Membership.find(member.id)
  def demote(member) = App::Studio::Actions::ChangeRole.new(place(member), { "role" => "assistant" }).run.ok?
  def take_out(member) = App::Studio::Actions::ChangeRole.new(place(member), { "role" => "remove" }).run.ok?
  def leave(member) = App::Studio::Actions::Leave.new(place(member)).run.ok?

  def accept(member)
    email = member.account.email
    _, token = studio.invitations.issue(email:, role: "assistant", expires_at: NOW + 86_400)
    throttle = App::Doors::Throttle.new("203.0.113.1", NOW)
    App::Doors::Actions::AcceptInvitation.new(token, "X", "long enough 1", throttle).run.ok?
  end

  ways = %i[demote take_out leave accept]
  ways.product(ways).each do |first, second|
    it "stays when one goes by #{first} and the other by #{second} at once" do
      [one, two].each { |member| member.account.update!(password: "long enough 1") }
      answers = while_uncommitted(-> { send(first, one) }, -> { send(second, two) })
      aggregate_failures do
        expect(answers).to eq [true, false]
        expect(directors).to eq 1
      end
    end
  end

  it "is kept by the database too, should the application forget" do
    expect { studio.memberships.where(role: "director").update_all(role: "assistant") }
      .to raise_error(ActiveRecord::StatementInvalid, /no director/)
    expect { Records::Membership.where(studio_id: studio.id).delete_all }
      .to raise_error(ActiveRecord::StatementInvalid, /no director/)
    expect(directors).to eq 2
    expect { one.destroy! }.not_to raise_error
  end

  it "is told to make somebody else director before taking a lesser role by invitation" do
    two.destroy!
    one.account.update!(password: "long enough 1")
    _, token = studio.invitations.issue(email: one.account.email, role: "assistant", expires_at: NOW + 86_400)
    send_form "/invitation/#{token}", { "name" => "One", "password" => "long enough 1" }
    aggregate_failures do
      expect(last_response.status).to eq 422
      expect(last_response.body).to include "last director"
      expect(place(one).role).to eq "director"
    end
  end
end
