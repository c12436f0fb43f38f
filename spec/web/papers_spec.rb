# frozen_string_literal: true

require "web_helper"
require "pdf/reader"

# What is printed: the same that the screens say, with first names and initials where it hangs on a wall; pictures by
# themselves; a dancer's own sheet with its code and the word behind it.
RSpec.describe "papers", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, ["Ada Q", "Ada R", "Zoë"]) }
  let(:ada) { dancers.first }

  before { sign_in director }

  def tell
    make_season(studio)
    plan = App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, NOW).run
    plan
  end

  def words(path)
    get path
    expect(last_response.headers["content-type"]).to eq "application/pdf"
    @reader = PDF::Reader.new(StringIO.new(last_response.body))
    @reader.pages.map(&:text).join(" ").gsub(/\s+/, " ")
  end

  it "prints a call sheet with every slot and call, with no more of a name than tells two people apart" do
    plan = tell
    ada.update!(name: "Ada Quill")
    dancers.second.update!(name: "Ada Quince")
    rehearsal = plan.slots.includes(:rehearsal).map(&:rehearsal).min_by(&:date)
    piece.sections.first.update!(bring: "mats")
    said = words("/rehearsals/#{rehearsal.id}/call-sheet.pdf")
    plan.slots.where(rehearsal_id: rehearsal.id).find_each do |slot|
      expect(said).to include slot.title.split.first(3).join(" ")
    end
    expect(said).to include("Called and released").and include("Ada Quil., Ada Quin.").and include("mats")
    expect(said).not_to match(/Ada Quill\b|Ada Quince/)
    rehearsal.update!(cancelled_at: NOW)
    expect(words("/rehearsals/#{rehearsal.id}/call-sheet.pdf")).to include "CANCELLED"
    studio.update!(settings: { "paper" => "letter" })
    words("/rehearsals/#{rehearsal.id}/call-sheet.pdf")
    expect(@reader.pages.first.attributes[:MediaBox].last).to be_within(1).of 792
    words("/rehearsals/#{rehearsal.id}/call-sheet.pdf?paper=a4")
    expect(@reader.pages.first.attributes[:MediaBox].last).to be_within(1).of 842
  end

  it "prints a count sheet with every move on its count, cue words and what to watch for" do
    section = piece.sections.first
    section.eights.first.update!(text: "1 step R 2 close L 3 jump & clap 5 turn half right", cue: "breathe")
    section.notes.create!(**App::Shared::NoteRow.of(piece, director.account), kind: "correction", about: "section",
                                                                              text: "soft knees", row: 1, at: 48)
    piece.touch
    said = words("/pieces/#{piece.id}/steps.pdf?section=#{section.id}")
    expect(said).to include("Opening Walk").and include("step R").and include("close L").and match(/& ?clap/)
    expect(said).to include("“breathe”").and include("Watch for").and include("soft knees").and include("count 1")
    expect(words("/pieces/#{piece.id}/steps.pdf?section=0")).to include "Opening Walk"
  end

  it "prints a join with both edges, how each state stands and what would mend it" do
    piece.sections.first.eights.last.update!(text: "8 step R")
    piece.sections.second.eights.first.update!(text: "1 step R")
    piece.touch
    said = words("/pieces/#{piece.id}/joins/1/sheet.pdf")
    expect(said).to include("Opening Walk into Spiral").and include("Opening Walk ends").and include("Spiral starts")
    expect(said).to include("does not fit").and include("→").and include("Free foot")
    get "/pieces/#{piece.id}/joins/9/sheet.pdf"
    expect(last_response.status).to eq 404
  end

  it "prints the build, who has it, the notes round and the hole sheet" do
    plan = tell
    sent = { "cells" => ["#{ada.id}:s#{piece.sections.first.id}"], "rung" => 3 }
    App::Learning::Actions::RecordTicks.new(piece, director, sent, NOW.to_date).run
    build = words("/pieces/#{piece.id}/plan/build.pdf")
    plan.slots.first(5).each { |slot| expect(build).to include slot.title.split.first(3).join(" ") }
    grid = words("/pieces/#{piece.id}/who-has-it.pdf")
    expect(grid).to include("Zoë T.").and include("into Spiral").and match(/3|at tempo/)
    expect(grid).not_to include "Zoë Test"
    send_form "/pieces/#{piece.id}/notes", { "text" => "elbows up", "kind" => "fix", "about" => "all" }
    expect(words("/pieces/#{piece.id}/notes.pdf")).to include("elbows up").and include "1 minute".sub("1", "one")
    expect(words("/pieces/#{piece.id}/holes.pdf?out[]=#{dancers.last.id}")).to include "Zoë T."
    expect(words("/pieces/#{piece.id}/holes.pdf")).to include "Nobody is missed"
  end

  it "prints what there is of a piece that has no plan, no steps and no dancers yet" do
    bare = make_piece(studio, director, title: "Bare", lines: "One, 2 eights\nTwo, 2 eights")
    %w[plan/build.pdf who-has-it.pdf notes.pdf holes.pdf steps.pdf joins/1/sheet.pdf].each do |name|
      expect(words("/pieces/#{bare.id}/#{name}")).to include "Bare"
    end
    %w[plan/build.svg files/spine.svg spacing/lines.svg spacing/floor.svg].each do |name|
      expect(get("/pieces/#{bare.id}/#{name}").status).to eq 200
    end
    nothing = make_piece(studio, director, title: "Nothing", lines: "")
    %w[plan/build.pdf who-has-it.pdf notes.pdf holes.pdf plan/build.svg files/spine.svg music.mid files/piece.json]
      .each { |name| expect(get("/pieces/#{nothing.id}/#{name}").status).to eq(200), name }
    %w[steps.pdf spacing/lines.svg spacing/floor.svg joins/1/sheet.pdf].each do |name|
      expect(get("/pieces/#{nothing.id}/#{name}").status).to eq(404), name
    end
    App::Files::Tables::OF_PIECE.each_key do |name|
      expect(get("/pieces/#{nothing.id}/files/tables/#{name}.xlsx").status).to eq 200
    end
    get "/rehearsals/#{studio.rehearsals.create!(date: '2027-03-01', start_minute: 600,
                                                 end_minute: 660).id}/call-sheet.pdf"
    expect(last_response.status).to eq 200
  end

  it "gives out the chain, the build, lines and formations as pictures that stand by themselves" do
    tell
    %w[files/spine plan/build spacing/lines spacing/floor].each do |name|
      get "/pieces/#{piece.id}/#{name}.svg?at=1"
      drawing = Nokogiri::XML(last_response.body, &:strict)
      expect(drawing.root.name).to eq "svg"
      expect(drawing.at_css("style").text).to match(/\{[^}]*(?:fill|stroke)/)
      expect(last_response.body).not_to match(/var\(|data-|tabindex/)
      get "/pieces/#{piece.id}/#{name}.png?at=1"
      expect(last_response.body.b).to start_with "\x89PNG".b
      expect(last_response.body.b[16, 4].unpack1("N")).to eq App::Shared::StandaloneSvg::WIDTH
    end
    get "/pieces/#{piece.id}/files/spine.gif"
    expect(last_response.status).to eq 404
  end

  describe "a dancer's own sheet" do
    def give(word) = send_form("/people/#{ada.id}/family-word", { "word" => word })

    it "carries a code only where the family has a word, and never that word" do
      tell
      plain = words("/people/#{ada.id}/sheet.pdf")
      expect(plain).to include("My calls").and include("Opening Walk")
      expect(plain).not_to include "With a phone"
      give "Clover  Field"
      coded = words("/people/#{ada.id}/sheet.pdf")
      expect(coded).to include "With a phone"
      expect(coded.downcase).not_to include "clover"
      expect(ada.reload.family_word).not_to include "lover"
      give "x"
      expect(last_response.status).to eq 422
      sign_in make_member(studio, "choreographer")
      get "/people/#{ada.id}/sheet.pdf"
      expect(last_response.status).to eq 403
    end

    it "opens the dancer's page for whoever knows the word, until another word is given" do
      give "Clover Field"
      code = ada.reload.sheet_token
      clear_cookies
      get "/sheet/#{code}"
      expect(last_response.body).not_to include "Ada"
      send_form "/sheet/#{code}", { "word" => "meadow" }
      expect(last_response.status).to eq 422
      send_form "/sheet/#{code}", { "word" => " clover field" }
      page = URI(last_response.headers["location"]).path
      get page
      expect(last_response.body).to include "Ada"
      sign_in director
      give "heather"
      [page, "/sheet/#{code}"].each { |path| expect(get(path).status).to eq 404 }
    end

    it "does not let a word be guessed" do
      give "clover"
      code = ada.reload.sheet_token
      answers = Array.new(8) { |i| send_form("/sheet/#{code}", { "word" => "guess#{i}" }).status }
      expect(answers).to eq ([422] * 6) + ([429] * 2)
      send_form "/sheet/#{code}", { "word" => "clover" }
      expect(last_response.status).to eq 429
    end
  end
end
