# frozen_string_literal: true

require "spec_helper"

# Practice tracks: what is clicked when, and the file it becomes, read again by another way.
RSpec.describe Formats::PracticeTrack do
  let(:sections) do
    [4, 2, 3].each_with_index.map do |eights, i|
      rows = Array.new(eights) { Core::Piece::Row.new(counts: i == 1 ? 6 : 8) }
      Core::Piece::Section.new(id: i + 1, name: "S#{i + 1}", rows:)
    end
  end
  let(:work) do
    links = [0, 1, 2, 0].each_with_index.map { |at, i| Core::Piece::Link.new(section: sections[at], id: (i + 1).to_s) }
    track = Core::Music::Track.new(tempo: [[1, 120], [33, 90], [60, 140]], first_count_seconds: 2.5)
    Core::Piece::Work.new(title: "P", sections:, links:, track:)
  end
  let(:score) { Core::Room::Score.new(work, danced: Core::Piece::Danced.new(work)) }

  def practice(from: 1, to: 4, **more) = Core::Room::Practice.new(score, from:, to:, **more)

  # {rate:, channels:, bits:, samples: [Integer]}, read by the letters of the file.
  def read(bytes)
    riff, size, wave, fmt, length = bytes.unpack("a4Va4a4V")
    expect([riff, size, wave, fmt, length]).to eq ["RIFF", bytes.bytesize - 8, "WAVE", "fmt ", 16]
    format, channels, rate, speed, frame, bits, data, sound = bytes.byteslice(20..).unpack("vvVVvva4V")
    expect([format, data, sound, speed, frame]).to eq [1, "data", bytes.bytesize - 44, rate * 2, 2]
    { rate:, channels:, bits:, samples: bytes.byteslice(44..).unpack("s<*") }
  end

  # Seconds at which silence ends.
  def onsets(file)
    quiet = (0.03 * file[:rate]).to_i
    last = -quiet - 1
    file[:samples].each_with_index.filter_map do |sample, i|
      next if sample.abs < 2000

      begins = i - last > quiet
      last = i
      i / file[:rate].to_f if begins
    end
  end

  it "clicks every count at its second of the music, from a count-in on, at any tempo" do
    [100, 60, 130].each do |speed|
      made = practice(from: 2, to: 3, speed:)
      first = work.order.links[1].start_seconds
      counts = score.links[1..2].flat_map { |link| link.counts.map(&:seconds) }
      lead = (first - work.track.map.seconds_at(work.order.links[1].start_beat - 4)) / (speed / 100.0)
      expect(made.clicks.count { |click| click.kind == :lead }).to eq 4
      found = made.clicks.reject { |click| click.kind == :lead }.map(&:at)
      wanted = counts.map { |second| lead + ((second - first) / (speed / 100.0)) }
      found.zip(wanted).each { |at, other| expect(at).to be_within(1e-9).of(other) }
    end
  end

  it "says cue words when they fall, over the clicks, at any tempo and as often as it is danced" do
    row = Core::Piece::Row.new(counts: 8, text: "1 step R", cue: "breathe")
    with_cue = sections.map { |section| section.id == 2 ? section.with(rows: [row, row.with(cue: "")]) : section }
    links = work.links.map { |link| link.with(section: with_cue.find { |each| each.id == link.section.id }) }
    spoken = work.with(sections: with_cue, links:)
    own = Core::Room::Score.new(spoken, danced: Core::Piece::Danced.new(spoken))
    made = Core::Room::Practice.new(own, from: 1, to: 3, speed: 50, times: 2)
    firsts = made.clicks.select { |click| click.kind == :join }.map(&:at)
    expect(made.words.map { |word| [word.text, word.at.round(6)] })
      .to eq([firsts[0], firsts[2]].map { |at| ["breathe", at.round(6)] })
    tone = ([8000, -8000] * 500).pack("s<*")
    bytes = described_class.render([made.clicks.first], seconds: 3, words: [[1.0, tone], [2.99, tone], [9, tone]])
    samples = read(bytes)[:samples]
    expect(samples[described_class::RATE, 4]).to eq [6400, -6400, 6400, -6400]
    quiet = samples.each_index.select { |i| i.between?(3000, 22_000) && !samples[i].zero? }
    expect([quiet, samples.size]).to eq [[], ((3 + described_class::CLICK) * described_class::RATE).ceil]
  end

  it "gives joins, eights and counts tones of their own, and rests between the times" do
    made = practice(from: 1, to: 2, times: 3, rest: 8)
    kinds = made.clicks.map(&:kind).tally
    expect(kinds).to eq(lead: 4 + 8 + 8, first: 15, join: 3, count: (3 * 44) - 18)
    gaps = made.clicks.map(&:at).each_cons(2).map { |one, two| two - one }
    expect(gaps.min).to be_positive
    expect(made.seconds).to be > made.clicks.last.at
    part = practice(from: 1, to: 2, to_row: 1)
    expect(part.clicks.count { |click| click.kind != :lead }).to eq 32 + 6
  end

  it "refuses what is not there, and what is out of range, by name" do
    wrong = { { from: 5, to: 9 } => "links", { from: 3, to: 2 } => "links", { speed: 20 } => "speed",
              { times: 0 } => "times" }
    wrong.each do |asked, path|
      expect { practice(**asked) }.to raise_error(Core::ValueError) { |error| expect(error.path).to eq path }
    end
    expect { described_class.render([], seconds: 5000) }.to raise_error(Core::ValueError, /at most/)
  end

  it "writes a file whose clicks are heard within a millisecond of where they belong" do
    each_case(4) do |random|
      from = random.rand(1..4)
      made = practice(from:, to: random.rand(from..4), speed: random.rand(40..120), times: random.rand(1..2))
      file = read(described_class.render(made.clicks, seconds: made.seconds))
      expect(file.slice(:channels, :bits, :rate)).to eq(channels: 1, bits: 16, rate: 22_050)
      expect(file[:samples].size / 22_050.0).to be_within(0.06).of(made.seconds)
      heard = onsets(file)
      expect(heard.size).to eq made.clicks.size
      heard.zip(made.clicks.map(&:at)).each { |at, wanted| expect(at).to be_within(0.001).of(wanted) }
      expect(file[:samples].map(&:abs).max).to be_between(15_000, 32_767)
    end
  end
end
