# frozen_string_literal: true

require "web_helper"

RSpec.describe "spacing", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) do
    make_cast(piece, %w[Ada Bram], group: "Scouts") + make_cast(piece, %w[Cleo Dov], group: "Nurses").last(2)
  end
  let(:groups) { piece.groups.order(:number).to_a }
  let(:section) { piece.sections.first }
  let(:link) { piece.links.first }
  let(:spacing) { "/pieces/#{piece.id}/spacing" }

  before { sign_in director }

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }

  def parts(given)
    send_form(
      "/pieces/#{piece.id}/sections/#{section.id}/parts",
      {
        "at" => "1",
        "lock_version" => section.reload.lock_version,
        "parts" => given.transform_keys { |group| group.id.to_s }
      }
    )
  end

  def formation(moment, spots, version: 0)
    send_json(
      "/pieces/#{piece.id}/links/#{link.id}/formation",
      { moment:, version:, spots: spots.map { |dancer, x, y| { p: dancer.id, x:, y:, f: 1 } } }
    )
  end

  def placed(moment = "entry")
    piece.formations.find_by(link_id: link.id, moment:)
      &.then { |row| row.spots.order(:person_id).pluck(:person_id, :x, :y).map { |id, x, y| [id, x.to_f, y.to_f] } }
  end

  describe "lines" do
    it "keeps offsets, holds, sides and stretches, and says what does not add up" do
      parts(
        groups[0] => {
          "in" => "1",
          "offset" => "0"
        },
        groups[1] => {
          "in" => "1",
          "offset" => "4",
          "hold_before" => "4",
          "mirrored" => "1",
          "stretches" => "9-12 hold, 30 off"
        }
      )
      expect(
        section.parts.order(:id).map { |part| [part.start_offset, part.hold_before, part.mirrored, part.stretches] }
      ).to eq [[0, 0, false, []], [4, 4, true, [[9, 12, "holding"], [30, 30, "off"]]]]
      page = text("#{spacing}?at=1&show=lines")
      expect(page).to include(
        "Scouts: nobody said what they do on 33 to 36.",
        "They do not meet where all go on together: Scouts on 32 and Nurses on 36."
      )
      expect(text("/")).to include("Opening Walk: 4 things about who moves when").or include(
        "things about who moves when"
      )
    end

    it "names what cannot be read, and keeps all that was typed" do
      parts(groups[0] => { "in" => "1", "offset" => "soon", "stretches" => "9-4 hold" })
      expect(last_response.status).to eq 422
      expect(last_response.body).to include(
        "A whole number of counts, from -32 to 512.",
        "Like 9-16 hold, 17-20 off.",
        'value="soon"'
      )
      expect(section.parts.count).to eq 0
    end

    it "spreads groups into a canon that meets, and into swapped halves" do
      send_form "/pieces/#{piece.id}/sections/#{section.id}/parts", { "way" => "canon", "step" => "4" }
      expect(section.parts.order(:id).pluck(:start_offset, :hold_after)).to eq [[0, 4], [4, 0]]
      expect(text("#{spacing}?at=1&show=lines")).to include "Everybody is accounted for on every count."
      send_form "/pieces/#{piece.id}/sections/#{section.id}/parts", { "way" => "halves", "step" => "4" }
      expect(section.parts.order(:id).pluck(:start_offset, :hold_before, :hold_after)).to eq [[0, 0, 32], [32, 32, 0]]
    end

    it "shows a dancer their own line, and on their own page in words" do
      parts(groups[0] => { "in" => "1", "hold_after" => "4" }, groups[1] => { "in" => "1", "offset" => "4" })
      get("#{spacing}?at=1&show=lines&who=#{dancers.last.id}")
      expect(last_response.body.scan('class="dim"').size).to eq 1
      token = dancers.last.person_links.issue(studio_id: studio.id).last
      expect(text("/my/#{token}")).to include("you begin 4 counts later", "your line")
    end
  end

  describe "the floor" do
    it "places a group by a pattern, moves people, and refuses to write over somebody else" do
      send_form "/pieces/#{piece.id}/links/#{link.id}/formation/pattern",
                {
                  "moment" => "entry",
                  "pattern" => "lines",
                  "group" => groups[0].id.to_s,
                  "spacing" => "2",
                  "x" => "1",
                  "y" => "3",
                  "facing" => "5"
                }
      expect(placed).to eq [[dancers[0].id, 0.0, 3.0], [dancers[1].id, 2.0, 3.0]]
      version = piece.formations.first.lock_version
      formation("entry", [[dancers[0], -1.5, 2], [dancers[2], 0.25, 4]], version:)
      expect([last_response.status, JSON.parse(last_response.body)["version"], placed]).to eq [
        200,
        version + 1,
        [[dancers[0].id, -1.5, 2.0], [dancers[2].id, 0.25, 4.0]]
      ]
      formation("entry", [[dancers[0], 9, 9]], version:)
      expect([last_response.status, last_response.body, placed.size]).to match([409, /Somebody else moved people/, 2])
    end

    it "takes no stranger, nothing unreadable, and nobody far off" do
      stranger = studio.people.create!(name: "Stranger")
      formation("entry", [[stranger, 0, 0], [dancers[0], "x", 0], [dancers[1], 900, 0], [dancers[2], 1, 1]])
      expect(placed).to eq [[dancers[2].id, 1.0, 1.0]]
    end

    it "measures the ways over the join, judges them, and offers the counts that are missing" do
      formation("exit", dancers.each_with_index.map { |dancer, i| [dancer, i * 1.5, 2] })
      send_json(
        "/pieces/#{piece.id}/links/#{piece.links.second.id}/formation",
        {
          moment: "entry",
          version: 0,
          spots: dancers.each_with_index.map { |d, i| { p: d.id, x: (i * 1.5) - 3, y: 2, f: 1 } }
        }
      )
      section.eights.last.update!(text: "8 step R")
      piece.sections.second.eights.first.update!(text: "1 step L")
      piece.reload.touch
      expect(text("/pieces/#{piece.id}/joins")).to include("Somebody has 3.0 m to go in 0 counts before Spiral.")
      expect(text("#{spacing}?at=2")).to include("0 counts to do it; comfortable in", "3.0 m")
    end

    def version = piece.formations.find_by!(link:, moment: "exit").lock_version.to_s

    it "gives everybody the spot that makes the longest way shortest, leaves who is pinned, and turns over for a " \
       "mirrored repeat" do
      formation("entry", dancers.each_with_index.map { |dancer, i| [dancer, i * 2.0, 1] })
      formation("exit", dancers.reverse.each_with_index.map { |dancer, i| [dancer, i * 2.0, 3] })
      send_form "/pieces/#{piece.id}/links/#{link.id}/formation/assign", { "moment" => "exit" }
      expect(text("#{spacing}?at=1&moment=exit")).to include I18n.t("floor.conflict")
      send_form "/pieces/#{piece.id}/links/#{link.id}/formation/assign", { "moment" => "exit", "version" => version }
      expect(placed("exit")).to eq(dancers.each_with_index.map { |dancer, i| [dancer.id, i * 2.0, 3.0] })
      get("#{spacing}?at=3")
      expect(last_response.body).to include("turned over", "6 m left of the middle")
      send_form "/pieces/#{piece.id}/links/#{link.id}/formation/remove",
                { "moment" => "exit", "version" => version }
      expect(placed("exit")).to be_nil
    end

    it "finds near passes and who is hidden when asked" do
      formation("entry", [[dancers[0], -2, 2], [dancers[1], 2, 2]])
      formation("exit", [[dancers[0], 2, 2], [dancers[1], -2, 2]])
      expect(text("#{spacing}?at=1&moment=exit")).not_to include("apart at count")
      expect(text("#{spacing}?at=1&moment=exit&seen=near")).to include("Ada and Bram, 0.0 m apart at count 16.0")
      formation("count-9", [[dancers[0], 0, 2], [dancers[1], 0.1, 4]])
      expect(text("#{spacing}?at=1&moment=count-9&seen=hidden")).to include("Bram , behind Ada").or include(
        "Bram, behind Ada"
      )
    end

    it "takes spots that are none for nothing" do
      odd = [{ "p" => true, "x" => "entry", "y" => nil, "f" => 1.5e300, "pin" => "yes" }, { "p" => nil }]
      send_json "/pieces/#{piece.id}/links/#{link.id}/formation", { moment: "exit", version: 0, spots: odd }
      expect([last_response.status, placed("exit")]).to eq [200, []]
    end

    it "keeps the size of the floor within reason" do
      send_form "/pieces/#{piece.id}/floor", { "width" => "8", "depth" => "6.5", "at" => "1" }
      send_form "/pieces/#{piece.id}/floor", { "width" => "800", "depth" => "6", "at" => "1" }
      expect(piece.reload.setting("floor")).to eq("width" => 8.0, "depth" => 6.5)
    end
  end

  it "writes the hole sheet of whoever is out" do
    groups[1].update!(leader: dancers[2])
    parts(groups[0] => { "in" => "1" }, groups[1] => { "in" => "1", "offset" => "4" })
    make_season(studio)
    plan = App::Planning::Actions::Make.new(piece.reload, director.account, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    out = "/pieces/#{piece.id}/holes?out[]=#{dancers[2].id}&out[]=#{studio.people.find_by!(name: 'Odalys').id}"
    expect(text(out)).to include(
      "Cleo Test",
      "Nurses have lost their leader, who begins on count 5",
      "Have lost their point",
      "Learn Opening Walk"
    )
    expect(last_response.body).to include("/holes.pdf?out%5B%5D=#{dancers[2].id}")
  end
end
