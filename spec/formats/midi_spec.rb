# frozen_string_literal: true

require "spec_helper"
require_relative "../../formats/midi"
require_relative "../support/format_contract"

# The music as MIDI: every tempo and marker comes back on its count, clicks lie where the counts sound, tempi of other
# programs keep the music at its second, and spoilt files are answered.
RSpec.describe Formats::Midi do
  def track(random)
    starts = [1, *Array.new(random.rand(0..5)) { random.rand(2..200) }].uniq.sort
    tempo = starts.each_with_index.map { |count, i| [count, 60 + (i * 13) + random.rand(0..9)] }
    Core::Music::Track.new(tempo:, first_count_seconds: random.rand(0..80) / 10.0)
  end

  def render(track, markers: [], clicks: [], title: "Tide") = described_class.render(track:, markers:, clicks:, title:)

  # A file of another program: ticks a beat, tracks of [[ticks after the one before, bytes], …].
  def raw(*tracks, division: 96)
    chunks = tracks.map do |events|
      body = events.map { |delta, bytes| [delta].pack("w") + bytes }.join.b
      ["MTrk", body.bytesize].pack("a4N") + body
    end
    ["MThd", 6, 1, tracks.size, division].pack("a4Nnnn") + chunks.join
  end

  def tempo(bpm) = "\xFF\x51\x03".b + [(60_000_000.0 / bpm).round].pack("N")[1, 3]
  def marker(text) = "\xFF\x06".b + [text.bytesize].pack("w") + text.b
  def ending = "\xFF\x2F\x00".b

  let(:sample) do
    music = Core::Music::Track.new(tempo: [[1, 100], [9, 120]])
    clicks = [described_class::Click.new(beat: 1, kind: :link)]
    render(music, markers: [[1, "Smoke"], [9, "Drift"]], clicks:)
  end

  def read(bytes) = described_class.parse(bytes)

  it_behaves_like "a format that comes in"

  it "reads back the tempi, the first count and the markers that it wrote" do
    each_case(60) do |random|
      music = track(random)
      markers = Array.new(random.rand(0..4)) do |i|
        [random.rand(1..250), ["Smoke #{i}", "Ωδή", "Зима"].sample(random:)]
      end
      found = read(render(music, markers:))
      expect(found.tempo).to eq(music.tempo.map { |count, bpm| [count, bpm.to_f] })
      expect(found.first_count_seconds).to be_within(0.011).of(music.first_count_seconds)
      expect(found.markers).to match_array markers
      expect([found.moved, found.left_out]).to eq [0, {}]
    end
  end

  it "puts a click where every count sounds, links and eights on the higher block" do
    music = Core::Music::Track.new(tempo: [[1, 120], [5, 60]], first_count_seconds: 1)
    clicks = [[1, :link], [2, :count], [5, :eight], [5.5, :count]]
      .map { |beat, kind| described_class::Click.new(beat:, kind:) }
    sequence = MIDI::Sequence.new
    sequence.read(StringIO.new(render(music, clicks:)))
    struck = sequence.tracks.last.events.grep(MIDI::NoteOn).select { |event| event.velocity.positive? }
    expect(struck.map { |event| [event.time_from_start, event.note, event.channel] })
      .to eq [[960, 76, 9], [1440, 77, 9], [2880, 76, 9], [3120, 77, 9]]
  end

  it "moves a tempo that changes between beats, and keeps the music at its second" do
    file = raw([[0, tempo(120)], [96 * 4, tempo(90)], [30, tempo(60)], [96 * 8, marker("Chorus")], [0, ending]])
    found = read(file)
    expect(found.moved).to eq 1
    map = Core::Music::TempoMap.new(found.tempo, first_seconds: found.first_count_seconds)
    true_seconds = (4 * 0.5) + (30 / 96.0 * 60 / 90) + 8
    beat = 1 + ((4 * 96) + 30 + (8 * 96)).fdiv(96)
    expect(map.seconds_at(beat)).to be_within(0.06).of(true_seconds)
    expect(found.markers).to eq [[13, "Chorus"]]
    expect(found.length_seconds).to be_within(0.001).of(true_seconds)
  end

  it "begins at the marker that says where count 1 is, with the tempo that holds there" do
    file = raw([[0, tempo(60)], [96 * 2, tempo(100)], [96, marker("COUNT 1")], [96 * 8, ending]],
               [[0, "\xFF\x05\x02la".b], [0, "\x90\x3C\x40".b], [96, "\x80\x3C\x40".b], [0, ending]])
    found = read(file)
    expect(found.tempo).to eq [[1, 100.0]]
    expect(found.first_count_seconds).to be_within(0.01).of(2 + 0.6)
    expect(found.left_out).to eq(notes: 1, words: 1)
  end

  it "says where a beat may be a dotted quarter" do
    meter = ->(top, bottom) { "\xFF\x58\x04".b + [top, bottom, 24, 8].pack("C4") }
    expect(read(raw([[0, meter.call(6, 3)], [96, ending]])).meter).to eq "6/8"
    expect(read(raw([[0, meter.call(4, 2)], [96, ending]])).meter).to be_nil
  end

  it "reads markers in the letters of old programs, and names what it cannot use" do
    expect(read(raw([[0, marker("Caf\xE9".b)], [96, ending]])).markers).to eq [[1, "Café"]]
    faults = lambda do |bytes|
      read(bytes)
    rescue Formats::FaultyFile => e
      e.faults.first
    end
    expect(faults.call("RIFF....")).to eq "the file: is no MIDI file"
    expect(faults.call(raw([[0, ending]], division: 0xE728))).to include "frames of film"
    expect(faults.call(sample.byteslice(0, 40))).to include "cut off or broken"
  end
end
