# frozen_string_literal: true

require "web_helper"

# Who has said nothing of when they can come: counted for all who plan, named behind a tap, reminded once a week.
RSpec.describe "who has not said yet when they can come", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai]) }

  def text(path) = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def count = text("/")[/(\w+) ha(?:s|ve) not said yet/, 1]

  before { sign_in director }

  it "is counted once there are rehearsals, and nobody is named who said anything, also that they come to all" do
    expect(count).to be_nil
    make_season(studio)
    expect([count, text("/").include?("Ada Test")]).to eq ["5", false]
    dancers.first.absences.create!(studio:, from_date: "2027-02-09", to_date: "2027-02-09")
    send_form "/people/#{dancers.second.id}/comes", {}
    studio.people.find_by!(name: "Odalys").visits.create!(studio:, date: "2027-02-09")
    silent = text("/season/who")[/2 have not said yet.*Remind them/]
    expect(%w[Cai Mirela Bo Ada].map { |name| silent.include?(name) }).to eq [true, true, false, false]
    expect(count).to eq "2"
    App::Shared::Clock.frozen_at = NOW + (150 * 86_400)
    sign_in director
    make_season(studio, rooms: [["Later", 20]], first: "2027-07-06", last: "2027-07-13")
    expect(count).to eq "5"
  end

  it "is asked once a week on their own page, which takes that they come to all, and of the team by mail" do
    make_season(studio)
    studio.memberships.find_by!(role: "director").update!(person: studio.people.find_by!(name: "Odalys"))
    dancers.each { |one| one.update!(adult: true) }
    secret = App::People::Actions::RenewLink.new(dancers.first, NOW).run[%r{/my/([^/]+)}, 1]
    own = "/my/#{secret}"
    expect(text(own)).not_to include "Please say"
    2.times { send_form "/season/ask", {} }
    expect(text("/season/who")).to include "They were reminded; again from Tue 9 Feb."
    expect(studio.mails.where("subject LIKE 'When can%'").count).to eq 1
    expect(text(own)).to include "Please say which rehearsals"
    send_form "#{own}/comes", {}
    expect([text(own).include?("Please say"), dancers.first.reload.comes_said_on]).to eq [false, NOW.to_date]
  end
end
