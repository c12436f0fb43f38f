# frozen_string_literal: true

require "web_helper"
require "pdf/reader"

# Private links of everybody, made by one tap and printed while their maker is signed in.
RSpec.describe "links of everybody at once", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  def printed
    body = get("/links.pdf").body
    last_response.status == 200 ? PDF::Reader.new(StringIO.new(body)).pages.map(&:text).join("\n") : ""
  end

  it "makes those that are missing, prints each with an address that opens its page, and leaves given ones alone" do
    make_cast(piece, %w[Ada Bram])
    studio.people.find_by!(name: "Bram Test").update!(adult: true)
    ada = studio.people.find_by!(name: "Ada Test")
    before = App::People::Actions::RenewLink.new(ada, NOW).run
    sign_in director
    expect(get("/links.pdf").status).to eq 302
    expect(get("/people").body).to include "Make the 2 links that are missing"
    2.times { send_form "/links", {} }
    expect(studio.person_links.given.group(:kind).count).to eq({ "dancer" => 2, "guardian" => 1 })
    sheet = printed.gsub(/\s+/, "")
    expect(sheet).to include("BramTest,yourpart", "FortheguardianofAdaTest")
    expect(sheet).not_to include("AdaTest,yourpart")
    tokens = printed.gsub(/\s+/, "").scan(%r{/my/([\w-]{32})}).flatten
    expect(tokens.map { |token| get("/my/#{token}").status }).to eq [200, 200]
    expect(get(URI(before).path).status).to eq 200
  end

  it "prints nothing for another session, and nothing that was taken back" do
    make_cast(piece, %w[Ada])
    sign_in director
    send_form "/links", {}
    expect(printed).to include "Ada Test"
    studio.person_links.update_all(revoked_at: NOW)
    expect(get("/links.pdf").status).to eq 302
    sign_in make_member(studio, "assistant")
    expect(get("/links.pdf").status).to eq 302
  end
end
