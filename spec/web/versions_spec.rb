# frozen_string_literal: true

require "web_helper"

RSpec.describe "versions of a section, and a new cut of the music", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:section) { piece.sections.first }
  let(:dancers) { make_cast(piece) }
  let(:path) { "/pieces/#{piece.id}/sections/#{section.id}/versions/seated" }
  let(:screen) { "/pieces/#{piece.id}/steps?section=#{section.id}&version=seated" }

  before do
    section.eights.first.update!(text: "1 step R 2 step L")
    dancers
    sign_in director
  end

  def save(texts, people: {}, version: 0)
    send_form path,
              {
                "rows" => texts.to_h { |n, text| [n.to_s, { "text" => text }] },
                "people" => people,
                "lock_version" => version
              }
    last_response
  end

  it "keeps only the eights that differ, never the counts, and walks them" do
    save({ 1 => "1 wheel 2 clap lap", 2 => "" })
    expect(section.versions.pluck(:kind, :eights)).to eq [["seated", { "1" => "1 wheel 2 clap lap" }]]
    expect(section.eights.first.text).to eq "1 step R 2 step L"
    expect(get(screen).body).to include("1 wheel 2 clap lap", "seated", 'placeholder="1 step R 2 step L"')
    send_form "/pieces/#{piece.id}/steps/preview",
              { "section" => section.id, "version" => "seated", "rows" => { "4" => { "text" => "1-8 chair turn L" } } }
    expect(last_response.body).to include("facing left")
  end

  it "gives it to a dancer here or in the whole piece, and tells them on their own page" do
    other = piece.sections.second
    other.versions.create!(studio:, kind: "seated", eights: { "1" => "1 wheel" })
    save({ 1 => "1 wheel" }, people: { dancers[0].id => "section", dancers[1].id => "piece", dancers[2].id => "" })
    told =
      dancers.map do |dancer|
        get("/my/#{dancer.person_links.issue(studio_id: studio.id).last}").body.scan("your version: seated").size
      end
    expect(told).to eq [2, 4, 0]
    save({ 1 => "1 wheel" }, people: { dancers[1].id => "" }, version: section.versions.first.lock_version)
    expect(piece.version_people.pluck(:person_id)).to eq [dancers[0].id]
  end

  it "shows the later of two writers that somebody was faster, and refuses what is too long or no version" do
    save({ 1 => "1 wheel" })
    save({ 1 => "2 wheel" }, version: section.versions.first.lock_version)
    expect(save({ 1 => "1 lean" }, version: 0).status).to eq 409
    expect([last_response.body.include?("1 lean"), section.versions.first.eights]).to eq [true, { "1" => "2 wheel" }]
    expect(
      save({ 2 => "x" * 1200 }, version: 1).then { |r| [r.status, r.body.include?("more than 1000 letters")] }
    ).to eq [422, true]
    send_form path.sub("seated", "flying"), {}
    expect(last_response.status).to eq 404
  end

  it "shows what a new cut would do before it is taken, and tells who teaches what moves" do
    teacher = studio.people.find_by!(name: "Mirela")
    member = make_member(studio, "choreographer", person: teacher)
    form = {
      "title" => piece.title,
      "show_date" => "2027-03-20",
      "length" => "1:10",
      "first_count" => "0",
      "tempo" => "120\nfrom 33: 90",
      "form" => ""
    }
    send_form "/pieces/#{piece.id}/music/cut", form
    expect(last_response.body).to include("A new cut", "3 links of 4 move", "Opening Walk into Spiral", "Mirela")
    expect(piece.track.reload.tempo).to eq [[1, 120.0]]
    send_form "/pieces/#{piece.id}/music", form.merge("cut" => "1")
    expect(piece.track.reload.tempo).to eq [[1, 120.0], [33, 90.0]]
    expect(studio.mails.pluck(:recipient, :subject)).to eq [[member.account.email, "New music for Winter Piece"]]
    send_form "/pieces/#{piece.id}/music/cut", form.merge("tempo" => "fast")
    expect([last_response.status, last_response.body]).to match([422, /write 112, or from 129: 96/])
  end
end
