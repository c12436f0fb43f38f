# frozen_string_literal: true

require "web_helper"

# A piece once more for next season: what it is made of comes along, what people did with it does not.
RSpec.describe "a copy of a piece", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai]) }

  def content(one) = Formats::PieceFile.render(App::Reading::PieceContent.new(one.reload).content)

  before do
    piece.sections.first.eights.first.update!(text: "1 step R 2 step L 3-8 hold")
    piece.update!(settings: { "full_runs" => 3, "deadlines" => { "dress" => "2027-03-18" } })
    piece.touch
    Records::Mapping::Learnings.append(
      piece, [App::Shared::LogLine.of(piece, director.account, NOW.to_date)
        .merge(person_id: dancers.first.id, item_key: "s#{piece.sections.first.id}", kind: "danced", rung: 3, note: "")]
    )
    sign_in director
  end

  it "has the same sections, steps, order and people under a title of its own, and no learning, dates or plans" do
    twin = studio.people.create!(name: "Ada Test", dances: true)
    send_form "/pieces/#{piece.id}/copy", { "title" => "Winter Again", "show_date" => "2028-03-04" }
    copy = studio.pieces.find_by!(title: "Winter Again")
    plain = ->(one) { JSON.parse(content(one)).except("title", "show_date", "settings") }
    expect(plain.call(copy)).to eq plain.call(piece)
    expect(copy.people.ids.sort).to eq dancers.map(&:id).sort
    expect(copy.people.ids).not_to include twin.id
    expect([copy.show_date.iso8601, copy.setting("full_runs"), copy.setting("deadlines")]).to eq ["2028-03-04", 3, {}]
    expect([copy.learning_states.count, copy.plans.count, piece.reload.title]).to eq [0, 0, "Winter Piece"]
  end

  it "leaves out who was archived, and says what is wrong with a title or a date" do
    send_form "/pieces/#{piece.id}/copy", { "title" => " ", "show_date" => "soon" }
    expect([last_response.status, studio.pieces.count]).to eq [422, 1]
    expect(last_response.body).to include("A title of 1 to 80 letters", "A date like 2027-03-06")
    App::People::Actions::Archive.new(dancers.first, NOW).run
    send_form "/pieces/#{piece.id}/copy", { "title" => "Winter Again", "show_date" => "" }
    expect(studio.pieces.find_by!(title: "Winter Again").people.ids).not_to include dancers.first.id
  end
end
