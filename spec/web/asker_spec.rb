# frozen_string_literal: true

require "web_helper"

# Who asks, and about which piece: one question to the database, whatever became of the account, its places and the
# piece meanwhile.
RSpec.describe Records::Asker, :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  def issued(account = director.account) = Records::SignIn.begin(account, device: "tablet", now: NOW).last
  def find(token = issued, place = studio.id, about = piece.id) = described_class.find(token, place, about)

  def queries(&)
    count = 0
    counting = lambda do |*, given|
      count += 1 unless given[:cached] || %w[SCHEMA TRANSACTION].include?(given[:name])
    end
    ActiveSupport::Notifications.subscribed(counting, "sql.active_record", &)
    count
  end

  it "finds the sign-in, the account, its place, the studio and the piece, each knowing the others, in one query" do
    token = issued
    piece
    asker = nil
    expect(queries { asker = find(token) }).to eq 1
    expect([asker.account, asker.member, asker.studio, asker.piece]).to eq [director.account, director, studio, piece]
    expect(queries { [asker.member.account.name, asker.piece.studio.name, asker.place.account.email] }).to eq 0
    expect(asker.studio.settings).to eq studio.settings
  end

  it "finds nothing for a token nobody was given, and nobody's place where there is none" do
    expect(find("nobody's")).to be_nil
    alone = Records::Account.create!(name: "Alone", email: "alone@example.org", password: Studios::PASSWORD)
    asker = find(issued(alone), nil, nil)
    expect([asker.account, asker.member, asker.studio, asker.piece]).to eq [alone, nil, nil, nil]
  end

  it "gives the place that was last, else the first, and no piece of another studio" do
    other = make_studio
    second = other.memberships.create!(account: director.account, role: "assistant")
    token = issued
    expect(find(token, other.id).member).to eq second
    expect(find(token, other.id).piece).to be_nil
    expect([find(token, nil).member, find(token, -1).member]).to eq [director, director]
  end

  it "lets nobody in who was taken out while a page was open, and leads them to what is left" do
    sign_in director
    assistant = make_member(studio, "assistant")
    sign_in assistant
    expect(get("/people").status).to eq 200
    assistant.give_up(NOW)
    get "/people"
    expect(last_response.headers["location"]).to end_with "/studios"
    post "/pieces/#{piece.id}/ticks", { cells: [] }.to_json, "CONTENT_TYPE" => "application/json"
    expect(last_response.status).to be >= 302
    expect(piece.ledger_entries.count).to eq 0
  end

  it "ends with the sign-in, and after as many days without it" do
    sign_in director
    App::Shared::Clock.frozen_at = NOW + ((Records::SignIn::DAYS + 1) * 86_400)
    get "/people"
    expect(last_response.headers["location"]).to end_with "/sign-in"
    App::Shared::Clock.frozen_at = NOW
    sign_in director
    Records::SignIn.delete_all
    get "/people"
    expect(last_response.headers["location"]).to end_with "/sign-in"
  end

  it "sees at once what became of a role, in the request that comes next" do
    make_member(studio, "director")
    sign_in director
    expect(get("/pieces/new").status).to eq 200
    director.update!(role: "assistant")
    expect(get("/pieces/new").status).to eq 403
  end
end
