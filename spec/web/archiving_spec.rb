# frozen_string_literal: true

require "web_helper"

# Somebody leaves in one step that shows what it changes: casts, calls and registers from that day on.
RSpec.describe "archiving somebody", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  it "shows what changes, does it from today on, and brings them back into their casts" do
    ada, bram, = make_cast(piece)
    make_season(studio)
    sign_in director
    plan = App::Planning::Actions::Make.new(piece.reload, director.account, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    called = ->(person) { studio.slot_people.where(person_id: person.id).count }
    before = called.call(bram)
    expect(called.call(ada)).to be_positive
    page = Nokogiri::HTML(get("/people/#{ada.id}/archive").body).css("main").text
    expect(page).to include("Out of the cast of Winter Piece", "Called no more", "stays in the log")
    send_form "/people/#{ada.id}/archive", { "to" => "yes" }
    expect([called.call(ada), called.call(bram)]).to eq [0, before]
    expect(Records::Mapping::Works.cast(piece.reload).keys).not_to include ada.id
    expect(App::Reading::PieceSnapshots.of(piece.reload).items.everybody).not_to include ada.id
    send_form "/people/#{ada.id}/archive", { "to" => "no" }
    expect(Records::Mapping::Works.cast(piece.reload)[ada.id]).to eq [piece.groups.first.id]
  end
end
