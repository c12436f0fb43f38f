# frozen_string_literal: true

require "web_helper"
require "midilib"

# The music of a piece as MIDI: out with every count and start point, in as the form filled in, with nothing saved yet.
RSpec.describe "the music as MIDI", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  before { sign_in director }

  def midi
    get "/pieces/#{piece.id}/music.mid"
    expect(last_response.headers["content-type"]).to eq "audio/midi"
    last_response.body
  end

  def look_at(bytes)
    file = Rack::Test::UploadedFile.new(StringIO.new(bytes), "audio/midi", original_filename: "winter.mid")
    send_form "/pieces/#{piece.id}/music/midi", { "file" => file }
    Nokogiri::HTML(last_response.body)
  end

  def fields(page)
    %w[tempo form].to_h { |name| [name, page.at_css("textarea[name=#{name}]").text.strip] }
      .merge(%w[first_count length].to_h { |name| [name, page.at_css("input[name=#{name}]")["value"]] })
  end

  it "clicks every count of every link and names every start point" do
    piece.track.update!(tempo: [[1, 120], [33, 90]], first_count_seconds: 2.5)
    piece.touch
    work = Records::Mapping::Works.load(piece.reload)
    sequence = MIDI::Sequence.new
    sequence.read(StringIO.new(midi))
    struck = sequence.tracks.last.events.grep(MIDI::NoteOn).select { |event| event.velocity.positive? }
    expect(struck.size).to eq work.order.total_counts
    expect(struck.count { |event| event.velocity == 120 }).to eq work.order.links.size
    read = Formats::Midi.parse(midi)
    expect([read.tempo, read.first_count_seconds]).to eq [[[1, 120.0], [33, 90.0]], 2.5]
    expect(read.markers).to eq(work.order.start_points.map { |point| [point.count, point.name] })
  end

  it "fills the form in from a file, saves nothing by itself, and what is then saved is what the file says" do
    track = Core::Music::Track.new(tempo: [[1, 108], [65, 126.5]], first_count_seconds: 1.5)
    clicks = [Formats::Midi::Click.new(beat: 97, kind: :count)]
    markers = [[1, "intro"], [33, "verse"], [65, "chorus"]]
    before = piece.track.attributes
    page = look_at(Formats::Midi.render(track:, markers:, clicks:, title: "Elsewhere"))
    expect(fields(page)).to include("tempo" => "108\nfrom 65: 126.5", "first_count" => "1.5",
                                    "form" => "intro 32\nverse 32\nchorus 32")
    expect(page.text.gsub(/\s+/, " ")).to include("Nothing is saved yet").and include("2 tempi.").and include "One note"
    expect(piece.track.reload.attributes).to eq before
    sent = { **fields(page), "title" => "Winter Piece", "was" => page.at_css("input[name=was]")["value"] }
    send_form "/pieces/#{piece.id}/music", sent
    expect(piece.track.reload).to have_attributes(tempo: [[1, 108.0], [65, 126.5]], first_count_seconds: 1.5)
  end

  it "says what it cannot read, and does not let others in" do
    expect(look_at("MThd broken").text).to include "is cut off or broken"
    expect(last_response.status).to eq 422
    send_form "/pieces/#{piece.id}/music/midi", {}
    expect(last_response.body).to include "Choose a MIDI file first."
    sign_in make_member(studio, "choreographer")
    look_at("MThd")
    expect(last_response.status).to eq 403
  end

  it "proposes a tempo in the ways it may be counted, or says that none is heard" do
    beats = Array.new(3000) { |i| (i % 50).zero? ? 1.0 : 0.0 }
    send_json "/onsets", { onsets: beats }
    expect(JSON.parse(last_response.body)).to include("choices" => start_with(120.0).and(include(60.0, 240.0)))
    send_json "/onsets", { onsets: [1] * 10 }
    expect([last_response.status, JSON.parse(last_response.body)["text"]]).to eq [422, I18n.t("music.heard.short")]
    send_json "/onsets", { onsets: Array.new(2000) { |i| ((i * 7919) % 101) / 100.0 } }
    expect(JSON.parse(last_response.body)["choices"].to_a).not_to include 0
  end
end
