# frozen_string_literal: true

require "web_helper"
require "support/concurrently"
require "support/run_world"

# Small things that were not so: odd bytes, addresses that are none, figures, names and start points.
RSpec.describe "small promises", :web do
  include Concurrently

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  def share_out = Nokogiri::HTML(get("/pieces/#{piece.id}").body).text.squish

  it "takes a file whose name holds a zero byte, and names a piece file's text that holds one" do
    sign_in director
    sound = { "filename" => "win\0ter.wav", "tempfile" => File.open("#{HOUSE}/app/assets/sounds/1.wav", "rb") }
    made = App::Piece::Actions::AttachTrack.new(piece, sound, director.account).run
    expect(made.value.name).to eq "winter.wav"
    file = { format: "piece-1", title: "T", links: [], sections: [{ id: "s", name: "S", hazards: ["ju\0mp"] }] }.to_json
    expect { Formats::PieceFile.parse(file) }.to raise_error(Formats::FaultyFile, /hazards/)
    expect { Formats::PieceFile.parse({ format: "piece-1", title: "T\0" }.to_json) }
      .to raise_error(Formats::FaultyFile, /title/)
  end

  it "mails to no address that is none" do
    sign_in director
    ["x<b>@example.org", "a@b", "a:b@example.org", "a\"b@example.org"].each do |email|
      send_form "/invitations", { "email" => email, "role" => "assistant" }
      expect(last_response.body).to include("address"), email
    end
    expect(studio.invitations.count).to eq 0
  end

  it "makes one studio where its form is sent twice at once, and lets both in", :committed do
    form = { "studio" => "Twice", "time_zone" => "Europe/London", "email" => "twice@example.org", "name" => "B",
             "password" => "another long password" }
    answers = Queue.new
    throttle = App::Doors::Throttle.new("203.0.113.7", NOW)
    create = ->(_) { answers << App::Doors::Actions::CreateStudio.new(form, throttle).run }
    together(create, create)
    both = [answers.pop, answers.pop]
    expect(both.map(&:ok?)).to eq [true, true]
    expect([Records::Studio.where(name: "Twice").count, both.map { |each| each.value.id }.uniq.size]).to eq [1, 1]
  end

  it "adds minutes up to what is shown, and shows every factor that counts" do
    sections = Array.new(40) do |i|
      rows = Array.new((i % 7) + 1) { Core::Piece::Row.new(counts: 8, text: "1 step R") }
      Core::Piece::Section.new(id: i, name: "S", choreographer: 1, rows:, difficulty: 0.7 + ((i % 4) * 0.3))
    end
    sections.each_with_index do |section, i|
      made = Core::Planning::Estimate.new(under_eleven: i.even?, factors: { 1 => 1.0 + (i * 0.003) })
        .learn(section, bpm: 90 + i, people: i)
      eights, each, *more = made.lines
      added, factors = more.partition { |line| line.unit == "min" }
      sum = eights.amount * each.amount * factors.map(&:amount).reduce(1, :*)
      expect(sum + added.sum(&:amount)).to be_within(0.06).of(made.minutes)
    end
  end

  it "says of known and of freestyle eights that they take no teaching, and never that they were never taught" do
    make_cast(piece)
    sign_in director
    walk, spiral = piece.sections.to_a
    walk.update!(known: true)
    spiral.eights.each { |eight| eight.update!(text: "1-8 freestyle!") }
    piece.touch
    App::Reading::PieceSnapshots.clear
    expect(share_out).to include("0 new eights · 0 min")
    get "/pieces/#{piece.id}/who-has-it/coverage"
    taught = Nokogiri::HTML(last_response.body).css("section").find { |each| each.text.include?("Never taught") }
    expect(taught&.text.to_s).not_to include("Opening Walk,")
    estimate = Core::Planning::Estimate.new
    work = App::Reading::PieceSnapshots.of(piece.reload).work
    expect(work.sections.map { |section| estimate.learn(section).minutes }).to eq [0, 0]
    expect(Core::Movement::Freestyle.whole?("1-4 freestyle, 5-8 step R")).to be false
  end

  it "shares the minutes of a section that two teach as it shares its eights, and says that they grow with a cast" do
    sign_in director
    before = share_out[/Odalys.*?(\d+) min/, 1].to_i
    odalys = studio.people.find_by!(name: "Odalys")
    mirela = studio.people.find_by!(name: "Mirela")
    section = piece.sections.first
    piece.sections.second.update!(choreographer: odalys)
    section.section_teachers.create!(studio_id: studio.id, person: mirela, created_at: NOW)
    piece.touch
    App::Reading::PieceSnapshots.clear
    shares = App::Piece::Pages::ShareOut.new(piece: piece.reload, member: director, now: studio.local(NOW)).loads
    whole = piece.sections.sum do |each|
      page = App::Piece::Pages::ShareOut.new(piece:, member: director, now: studio.local(NOW))
      page.minutes(page.sections.find { |one| one.id == each.id }).minutes
    end
    expect([before.positive?, shares.sum(&:minutes)]).to eq [true, whole]
    expect(share_out).to include "Nobody is cast yet"
    make_cast(piece)
    App::Reading::PieceSnapshots.clear
    expect(share_out).not_to include "Nobody is cast yet"
  end

  it "counts the same new eights in the preview and after saving" do
    sign_in director
    lines = "Gate, 4 eights, Odalys\nLantern, 2 eights + 4\nGate again, with changes in 2 and 3\nLantern, other side"
    send_form "/pieces/preview", { "title" => "T", "structure" => lines, "bpm" => "120" }
    preview = last_response.body[/· ([\d.½]+) eights to teach/, 1]
    made = make_piece(studio, director, lines:)
    saved = App::Piece::Pages::ShareOut.new(piece: made, member: director, now: studio.local(NOW)).new_eights
    expect(preview).to eq saved
  end

  it "says of a roster how many were cast, where all of them were there already" do
    sign_in director
    names = %w[Ada Bram Cleo]
    names.each { |name| studio.people.create!(name: "#{name} Test", dances: true) }
    send_form "/roster", { "piece" => piece.id.to_s, "text" => names.map { |name| "#{name} Test, Wings" }.join("\n") }
    expect(follow_redirect!.body).to include "3 were there already, 3 cast in Winter Piece."
  end

  it "calls arms that open, fold and rise three moves, and a link's start by which time it is" do
    vocabulary = Core::Movement::Vocabulary::DEFAULT
    lines = ["1 arms open 3 arms fold", "1 arms up 5 spin", "1 turn"].map do |text|
      Core::Movement::Reader.new(vocabulary:).read(text).first
    end
    uses = Core::Movement::Names.new({ "S" => lines }).uses
    arms = uses.select { |use| use.step == "arms" }
    expect(arms.map { |use| use.names.keys }).to eq [["arms fold"], ["arms open"], ["arms up"]]
    expect(uses.find { |use| use.step == "turn" }.several?).to be true
    names = Records::Mapping::Works.load(piece).order.start_points.map(&:name)
    expect(names).to eq ["Opening Walk, 1 of 2", "Spiral, 1 of 2", "Opening Walk, 2 of 2", "Spiral, 2 of 2"]
  end
end
