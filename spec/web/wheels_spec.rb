# frozen_string_literal: true

require "web_helper"

# Somebody in a wheelchair: where they stand, which rooms they reach, and that a plan minds it.
RSpec.describe "wheels", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:dancers) { make_cast(piece, %w[Ada Bram], group: "Scouts") }
  let(:section) { piece.sections.first }
  let(:path) { "/pieces/#{piece.id}" }

  before do
    dancers
    sign_in director
    section.versions.create!(studio:, kind: "seated", eights: { "1" => "1-4 wheel fwd" })
    piece.version_people.create!(studio:, person: dancers.first, kind: "seated")
  end

  def text(address) = CGI.unescapeHTML(get(address).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))

  it "keeps how a room is reached, and shows everybody who may be there" do
    make_season(studio, rooms: [["Loft", 14]])
    room = studio.rooms.first
    expect(text("/rehearsals")).to include "steps: not said"
    send_form "/rooms/#{room.id}/way-in", { "steps" => "steps" }
    expect([room.reload.step_free, get("/rehearsals").body.scan('aria-pressed="true"').size]).to eq [false, 1]
    send_form "/rooms", { "room" => "Hall", "capacity" => "20", "steps" => "free" }
    expect(studio.rooms.order(:id).last.step_free).to be true
    sign_in make_member(studio, "choreographer")
    expect(text("/rehearsals")).to include("reached by steps", "step-free")
  end

  it "plans nobody with wheels up steps, and says what of a plan would" do
    make_season(studio, rooms: [["Loft", 14], ["Hall", 30]])
    loft = studio.rooms.find_by!(name: "Loft")
    season = -> { Records::Mapping::Seasons.new(piece.reload, now: NOW) }
    problem = season.call.problem([])
    expect([problem.wheels, problem.stepped]).to eq [["p#{dancers.first.id}"], []]
    loft.update!(step_free: false)
    expect(season.call.problem([]).stepped).to eq ["r#{loft.id}"]
    section.versions.first.update!(eights: { "1" => "1-4 sit tall" })
    expect(season.call.problem([]).wheels).to be_empty
  end

  it "draws the circle a wheelchair turns in, and calls it close from farther away" do
    link = piece.links.first
    send_form "#{path}/links/#{link.id}/formation/pattern",
              { "moment" => "entry", "version" => "0", "pattern" => "lines", "facing" => "1", "spacing" => "1.3" }
    body = get("#{path}/spacing?at=1").body
    expect([body.scan('class="turning"').size, body.include?("1.5 m to turn in")]).to eq [1, true]
    expect(text("#{path}/spacing?at=1")).to include "Close Ada and Bram, 1.3 m"
    Records::VersionPerson.where(piece:).delete_all
    expect(text("#{path}/spacing?at=1")).not_to include "Close Ada and Bram"
  end
end
