# frozen_string_literal: true

require "web_helper"
require "support/run_world"

# What a dancer practises at home and how it lies in the music; marks of a clip when the music is cut anew; the
# questions of a memory check in words.
RSpec.describe "at home", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo]) }
  let(:ada) { dancers.first }

  def snapshot
    App::Reading::PieceSnapshots.clear
    App::Reading::PieceSnapshots.of(Records::Piece.find(piece.id))
  end

  def player(person = ada) = App::MyPart::Player.new(piece, snapshot, person)
  def order = snapshot.work.order

  def taught(section, eights, group: nil)
    about = { studio_id: studio.id, section:, group_id: group&.id }
    Records::Teaching.create!(**about, eights:, by_name: "M", day: NOW.to_date)
  end

  def tick(person, section, rung)
    App::Learning::Actions::RecordTicks.new(
      piece, director, { "cells" => ["#{person.id}:s#{section.id}"], "rung" => rung }, NOW.to_date
    ).run
  end

  it "plays from the top only as far as this dancer was taught" do
    walk, spiral = piece.sections.to_a
    stations = lambda do |person = ada|
      own = player(person)
      own.from_the_top.map { |placed| [placed.name, own.taught(placed)] }
    end
    expect(stations.call).to eq []
    taught(walk, 2)
    expect(stations.call).to eq [["Opening Walk", 1..2]]
    taught(walk, 4)
    taught(spiral, 1)
    expect(stations.call).to eq [["Opening Walk", 1..4], ["Spiral", 1..1]]
    tick(ada, spiral, 2)
    expect(stations.call).to eq [["Opening Walk", 1..4], ["Spiral", 1..4], ["Opening Walk", 1..4], ["Spiral", 1..1]]
    expect(stations.call(dancers.last).map(&:first)).to eq ["Opening Walk", "Spiral"]
    spiral.update!(known: true)
    piece.touch
    expect(stations.call(dancers.last).map(&:first)).to eq ["Opening Walk", "Spiral", "Opening Walk", "Spiral"]
  end

  it "goes by what one's own group was shown" do
    walk = piece.sections.first
    group = ada.groups.first
    taught(walk, 1)
    taught(walk, 3, group:)
    expect(player.taught(order.links.first)).to eq 1..3
    other = dancers.find { |person| person.groups.exclude?(group) }
    expect(player(other).taught(order.links.first)).to eq 1..1 if other
  end

  it "counts what it plays where the room's caller does, and ends at the last eight that was taught" do
    taught(piece.sections.first, 2)
    data = JSON.parse(player.json(player.from_the_top, "token"))
    score = Core::Room::Score.new(snapshot.work, danced: snapshot.danced).links.first
    expect(data["links"].first["c"].map(&:first)).to eq(score.counts.map { |count| count.seconds.round(4) })
    expect([data["toRow"], data["links"].size, data["track"]]).to eq [2, 1, nil]
    taught(piece.sections.first, 4)
    expect(JSON.parse(player.json([player.from_the_top.first], "token"))["toRow"]).to eq 0
  end

  it "is handed out as a sound file: any chain to the team, what they were taught to a dancer" do
    sign_in director
    get "/pieces/#{piece.id}/practice.wav", { "from" => "2", "to" => "3", "speed" => "60" }
    expect(last_response.headers.values_at("content-type", "content-disposition").join)
      .to include("audio/wav").and include("spiral-opening-walk-60.wav")
    whole = Core::Room::Practice.new(Core::Room::Score.new(snapshot.work, danced: snapshot.danced), from: 2, to: 3,
                                                                                                    speed: 60)
    expect(last_response.body.bytesize).to be_within(3000).of(2 * 22_050 * whole.seconds)
    { "speed" => "5", "times" => "99", "to" => "77", "from" => "9" }.each do |name, value|
      get "/pieces/#{piece.id}/practice.wav", { name => value }
      expect([name, last_response.status]).to eq [name, name == "to" ? 200 : 422]
    end
    expect(last_response.body).to include "There is no chain from the first link to the second."
    mine = "/my/#{ada.person_links.issue(studio_id: studio.id).last}/practice/#{piece.id}"
    expect(get(mine).status).to eq 404
    taught(piece.sections.first, 2)
    expect([get(mine).status, last_response.body.byteslice(0, 4)]).to eq [200, "RIFF"]
    bpm = piece.track.tempo.first.last
    expect(last_response.body.bytesize / 44_100.0).to be_within(0.2).of((4 + 16) * 60 / bpm / 0.6)
  end

  it "moves what a clip is laid on with a new cut of the music" do
    make_season(studio)
    run = RunWorld.make_run(studio, piece)
    clip = RunWorld.make_clip(run, [])
    studio.update!(settings: { "clips" => true })
    clip.update!(marks: [{ "link_id" => piece.links.to_a[1].id, "row" => 1, "at" => 0, "second" => 5.0 }])
    trouble = RunWorld.make_trouble(run, link: piece.links.to_a[1], row: 1, count: 5)
    sign_in director
    second = -> { get("/pieces/#{piece.id}/runs/#{run.id}").body[/second=([\d.]+)/, 1].to_f }
    expect(second.call).to be_within(0.01).of(5.0 + 2.0)
    piece.track.update!(tempo: [[1, 60]])
    piece.touch
    App::Reading::PieceSnapshots.clear
    expect(second.call).to be_within(0.01).of(5.0 + 4.0)
    expect(trouble.reload.at).to eq 48
  end

  it "asks in words that name one place only, and says the right answer in words too" do
    questions = App::Reading::MemoryQuestions.new(snapshot)
    asked = (1..30).flat_map { |day| questions.for_person(ada, Date.new(2027, 2, day.clamp(1, 28))) }.uniq(&:key)
    names = order.links.map { |placed| App::Shared::PlaceName.link_name(placed) }
    expect(names.uniq.size).to eq names.size
    asked.each do |one|
      words = one.choices.map(&:last)
      expect(words.uniq).to eq words
      expect(words).to include one.right
      expect(one.choices.map(&:first)).to include one.answer
    end
    before = asked.find { |one| one.key == "before-1" }
    expect(before&.right).to eq("nothing, it begins the piece").or(be_nil)
    which = App::Reading::MemoryQuestions.new(snapshot).for_all(NOW.to_date).find { |one| one.key.start_with?("which") }
    expect(which&.text).to match(/with changes|other side/).or(be_nil)
  end

  it "begins a dancer's round with what they know best" do
    walk, = piece.sections.to_a
    tick(ada, walk, 5)
    asked = App::Reading::MemoryQuestions.new(snapshot).for_person(ada, NOW.to_date)
    sure = asked.map do |one|
      question = one.question
      item = (question.join && snapshot.items.of_join(question.join)) || snapshot.items.of_link(question.about.first)
      snapshot.progress.rung(ada.id, item.key)
    end
    expect(sure.first).to eq sure.max
    expect(sure.drop(1)).to eq sure.drop(1).sort
  end
end
