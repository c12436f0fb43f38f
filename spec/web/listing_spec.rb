# frozen_string_literal: true

require "web_helper"

# A piece as it is listed: who is made, what stays, what is taken to its fields.
RSpec.describe "a list of a piece", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }

  before { sign_in director }

  def list(text, **more)
    send_form "/pieces", { "title" => "Boats", "structure" => text, **more }
    studio.pieces.order(:id).last
  end

  def relist(piece, text, **more)
    send_form "/pieces/#{piece.id}/structure",
              { "lock_version" => piece.reload.lock_version.to_s, "structure" => text, **more }
    expect(last_response.status).to eq 302
  end

  def text_of(piece) = Nokogiri::HTML(get("/pieces/#{piece.id}/structure").body).at_css("textarea").text.strip

  it "makes nobody without a tap, keeps the names with their sections, and takes whoever is ticked" do
    piece = list("Intro, two eights, Mel\nVerse 4 eights Bo and Kit\nIntro again, with music")
    expect([studio.people.count, piece.sections.map(&:said_teachers)]).to eq [0, [["Mel"], %w[Bo Kit]]]
    expect(get("/pieces/#{piece.id}").body).to include "Not among your people yet: Mel, Bo, Kit."
    expect(text_of(piece)).to eq "Intro, 2 eights, Mel\nVerse, 4 eights, Bo &amp; Kit\nIntro, again".gsub("&amp;", "&")
    relist(piece, text_of(piece), "teach" => %w[Mel Bo])
    expect(studio.people.order(:id).pluck(:name, :teaches)).to eq [["Mel", true], ["Bo", true]]
    expect(piece.sections.reload.map { |each| [each.choreographer&.name, each.said_teachers] }).to eq [
      ["Mel", []], ["Bo", ["Kit"]]
    ]
    expect(piece.sections.first.note).to eq "with music"
  end

  it "takes whoever a line made away with the line, unless something hangs on them by now" do
    piece = list("Intro, two eights, Mel\nVerse, 4 eights, Bo", "teach" => %w[Mel Bo])
    bo = studio.people.find_by!(name: "Bo")
    bo.visits.create!(studio:, date: Date.new(2027, 2, 2))
    ann = studio.people.create!(name: "Ann", teaches: true)
    relist(piece, "Intro, 2 eights, Ann\nVerse, 4 eights, Ann")
    expect(studio.people.order(:name).pluck(:name)).to eq %w[Ann Bo]
    expect(piece.sections.reload.map(&:choreographer)).to eq [ann, ann]
  end

  it "keeps remarks, lines that wait and lengths nobody knows, with their places, as often as it is saved" do
    typed = "Boats\nIntro, 2 eights\ncostumes by Friday pls\nRain, maybe 2\nsomething with the lamps\nIntro, again"
    piece = list(typed)
    2.times do
      expect(text_of(piece)).to eq typed
      relist(piece, text_of(piece))
    end
    expect(piece.sections.reload.map { |each| [each.name, each.eights.count, each.said_length] }).to eq [
      ["Intro", 2, ""], ["Rain", 0, "maybe 2"]
    ]
    page = get("/pieces/#{piece.id}").body
    expect(page).to include("at least 32 counts", "costumes by Friday pls", "maybe 2")
  end

  it "goes into a piece's file and comes back with all that is not settled yet" do
    piece = list("Boats\nIntro, 4 bars, Mel\nv2 as intro\nPebbles, 4")
    file = Formats::PieceFile.render(App::Reading::PieceContent.new(piece).content)
    read, notes = Formats::PieceFile.parse(file)
    expect(notes).to eq []
    expect(read.settings.slice("waiting_lines", "remark_lines")).to eq(
      { "waiting_lines" => [{ "line" => 4, "text" => "Pebbles, 4" }],
        "remark_lines" => [{ "line" => 1, "text" => "Boats" }] }
    )
    expect(read.section_facts.values.first.slice("said_length", "said_teachers").values).to eq ["4 bars", ["Mel"]]
    expect(read.work.links.map(&:called)).to eq ["", "v2"]
  end

  it "dances only a stretch, and calls a repeat by its own name, in the lines and out of them" do
    piece = list("Chorus, 4 eights\nv2 as chorus\ntag: only the last two eights of the chorus\nswap v2 and tag")
    expect(text_of(piece)).to eq "Chorus, 4 eights\ntag, same as Chorus, only eights 3-4\nv2, same as Chorus"
    expect(Records::Mapping::Works.load(piece.reload).links.map { |link| [link.name, link.counts] }).to eq [
      ["Chorus", 32], ["tag", 16], ["v2", 32]
    ]
    relist(piece, text_of(piece))
    expect(piece.links.reload.map(&:called)).to eq ["", "tag", "v2"]
  end

  it "shows every line beside what it became, and what the list says of the piece" do
    list = "Boats\n120 bpm, show on 14 March\nIntro, two eights, Mel\nPebbles, 4"
    send_form "/pieces/preview", { "structure" => list, "teach[]" => "Mel" }
    shown = Nokogiri::HTML(last_response.body)
    expect(shown.css(".understood tr").filter_map { |row| row.text.split.first }.first(4)).to eq %w[1 2 3 4]
    facts = JSON.parse(shown.at_css("[data-facts]")["data-facts"])
    expect(facts.slice("title", "bpm")).to eq({ "title" => "Boats", "bpm" => "120" })
    expect(facts["show_date"]).to end_with "-03-14"
    expect(shown.css(".newcomers input").map { |box| [box["value"], box["checked"]] }).to eq [%w[Mel checked]]
    expect(shown.css("button[data-lines]").map { |way| JSON.parse(way["data-lines"]) }.first).to eq(
      { "4" => "Pebbles, 4 eights" }
    )
    expect(studio.people.count).to eq 0
  end
end
