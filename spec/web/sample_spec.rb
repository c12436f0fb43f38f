# frozen_string_literal: true

require "web_helper"

# Looking round first: a sample piece in one's own studio, in no list of what runs, gone by one tap.
RSpec.describe "a sample piece", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }

  it "is there to look round, calls nobody, and goes with all that was tried in it" do
    own = make_piece(studio, director)
    sign_in director
    before = %w[people sections eights links revisions pieces].to_h { |table| [table, studio.public_send(table).count] }
    2.times { send_form "/sample", { "to" => "yes" } }
    sample = studio.pieces.samples.first
    expect([studio.pieces.samples.count, studio.pieces.running.to_a]).to eq [1, [own]]
    expect(studio.people.count).to eq before["people"]
    %w[/steps /joins /plan /who-has-it /structure].each do |tail|
      expect(get("/pieces/#{sample.id}#{tail}").status).to eq 200
    end
    expect(get("/").body).to include "a sample to look round"
    home = Nokogiri::HTML(get("/").body)
    expect(home.css(".piece-card h2").map { |title| title.text.strip }).to eq ["Winter Piece"]
    expect([get("/files").body, get("/calls").body, get("/roster").body].join).not_to include sample.title
    made = studio.people.create!(name: "Try")
    studio.ledger_entries.create!(
      piece: sample, person: made, item_key: "s#{sample.sections.first.id}", rung: 2, seq: 1, kind: "taught",
      account: director.account, day: NOW.to_date, by_name: "D"
    )
    send_form "/sample", { "to" => "no" }
    after = before.to_h { |table, _| [table, studio.public_send(table).count] }
    expect(after).to eq before.merge("people" => before["people"] + 1)
    expect(studio.ledger_entries.count).to eq 0
  end

  it "takes no step of the way" do
    sign_in director
    send_form "/sample", { "to" => "yes" }
    expect(App::Shared::Way.new(director).steps.map(&:done)).to eq [false] * 6
    nobody = make_member(studio, "choreographer")
    expect([App::Shared::Way.new(nobody).steps, get("/").status]).to eq [[], 200]
  end

  it "tells nobody, whatever is planned in it" do
    sign_in director
    send_form "/sample", { "to" => "yes" }
    sample = studio.pieces.samples.first
    person = studio.people.create!(name: "Ada Test")
    Records::Casting.create!(studio:, piece: sample, person:)
    make_season(studio)
    plan = App::Planning::Actions::Make.new(sample.reload, director.account, studio.local(NOW)).run
    told = App::Planning::Actions::Publish.new(plan, NOW).run
    expect([told.ok?, told.errors[:base]]).to eq [false, "This is a sample to look round: nobody is called to it."]
    expect(plan.reload.published_at).to be_nil
  end
end
