# frozen_string_literal: true

require "web_helper"

# A section that two teach: typed in one line, changed on its page, written by both, called in the plan, and brought
# back with an earlier version.
RSpec.describe "several teachers of one section", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director, lines: "Harbour, 3 eights, Jo & Mel\nNets, 2 eights, Ann").reload }
  let(:harbour) { piece.sections.find_by!(name: "Harbour") }
  let(:mel) { studio.people.find_by!(name: "Mel") }

  before do
    piece
    sign_in director
  end

  def teachers = [harbour.reload.choreographer.name, harbour.co_teachers.reload.map(&:name)]

  def facts(**more)
    {
      "name" => "Harbour", "fidelity" => "set", "method_preset" => "drill", "difficulty" => "1", "length" => "3 eights",
      "choreographer" => harbour.choreographer_id.to_s, "lock_version" => harbour.reload.lock_version.to_s, **more
    }
  end

  it "is two people by one line, and stands so in the lines and over the steps" do
    expect(teachers).to eq ["Jo", ["Mel"]]
    expect(studio.people.choreographers.pluck(:name)).to contain_exactly("Jo", "Mel", "Ann")
    expect(get("/pieces/#{piece.id}/structure").body).to include "Harbour, 3 eights, Jo &amp; Mel"
    expect(get("/pieces/#{piece.id}/steps?section=#{harbour.id}").body).to include "Jo &amp; Mel"
  end

  it "is written by either, and by nobody else" do
    steps = { "rows" => { "1" => { "text" => "1 step R", "counts" => "8" } } }
    path = "/pieces/#{piece.id}/sections/#{harbour.id}/steps"
    { mel => 302, studio.people.find_by!(name: "Ann") => 403 }.each do |person, status|
      sign_in make_member(studio, "choreographer", name: person.name, person:)
      send_form path, { **steps, "lock_version" => harbour.reload.lock_version.to_s }
      expect(last_response.status).to eq status
    end
  end

  it "is changed on its page by the director, and brought back by an earlier version" do
    path = "/pieces/#{piece.id}/sections/#{harbour.id}"
    before = piece.revisions.maximum(:number)
    send_form path, facts("co_teachers" => [], "teachers_needed" => "one")
    expect([teachers, harbour.teachers_needed]).to eq [["Jo", []], "one"]
    send_form "/pieces/#{piece.id}/revisions/#{before}/restore", {}
    expect([teachers, harbour.teachers_needed]).to eq [["Jo", ["Mel"]], "all"]
    sign_in make_member(studio, "choreographer", name: "Mel", person: mel)
    send_form path, facts("co_teachers" => [], "teachers_needed" => "one", "note" => "softly")
    expect([teachers, harbour.teachers_needed, harbour.note]).to eq [["Jo", ["Mel"]], "all", "softly"]
  end

  it "is called to with all its teachers, or where one is enough with the one who is away least" do
    make_cast(piece)
    make_season(studio)
    called = lambda do
      plan = App::Planning::Actions::Make.new(piece.reload, director.account, studio.local(NOW)).run
      slot = plan.slots.find { |each| each.kind == "learn" && each.section_ids == [harbour.id] }
      slot.slot_people.select { |row| row.role == "teacher" }.map { |row| row.person.name }.sort
    end
    expect(called.call).to eq %w[Jo Mel]
    harbour.update!(teachers_needed: "one")
    piece.touch
    harbour.choreographer.absences.create!(studio:, from_date: "2027-02-02", to_date: "2027-03-10")
    App::Reading::PieceSnapshots.clear
    expect(called.call).to eq %w[Mel]
  end
end

RSpec.describe "a count-in", :web do
  it "is chosen for the piece, and moves where the music starts" do
    studio = make_studio
    director = make_member(studio, "director")
    piece = make_piece(studio, director).reload
    sign_in director
    from = lambda do
      Records::Mapping::Works.load(piece.reload).order.start_points.map { |point| point.music_from.round(1) }
    end
    before = from.call
    send_form "/pieces/#{piece.id}/music", music_of(piece).merge("count_in" => "8")
    expect(last_response.status).to eq 302
    expect(before.zip(from.call).map { |old, new| (old - new).round(1) }.uniq).to eq [2.0]
    send_form "/pieces/#{piece.id}/music", music_of(piece).merge("count_in" => "7")
    expect(piece.reload.setting("count_in")).to eq 8
  end

  def music_of(piece) = App::Piece::MusicForm.now(piece.reload).transform_values(&:to_s)
end
