# frozen_string_literal: true

RSpec.describe Core::Piece::RunningOrder do
  it "adds up odd lines, repeats, changes and canon, and places each link in the music" do
    a = section("a", 8, 8, 10)
    b =
      section(
        "b",
        8,
        4,
        parts: [Core::Piece::Part.new(group: 1), Core::Piece::Part.new(group: 2, offset: 4, hold_after: 2)]
      )
    changes = Core::Piece::Changes.new(drop: [1], insert_after: { 3 => rows(2) })
    order =
      work(
        link(a),
        link(b),
        link(a, changes:),
        track: Core::Music::Track.new(tempo: [[1, 120], [27, 60]], first_count_seconds: 2)
      ).order
    expect(order.links.map { |l| [l.start_count, l.counts] }).to eq [[1, 26], [27, 18], [45, 20]]
    expect(order.links.map(&:start_seconds)).to eq [2.0, 15.0, 33.0]
    expect([order.total_counts, order.length_seconds]).to eq [64, 51.0]
    expect(order.links.map(&:echo)).to eq %i[first first altered]
    expect(order.link_at(27).name).to eq "Section b"
  end

  it "stretches half time and shrinks double time in the music, not in counts" do
    order =
      work(link(section("a", 8, time: "half")), link(section("b", 8, time: "double")), link(section("c", 8))).order
    expect(order.links.map { |l| [l.start_count, l.start_beat] }).to eq [[1, 1], [9, 17], [17, 21]]
  end

  it "gives start points with their count-in to the millisecond" do
    named =
      Core::Piece::Section.new(
        id: 1,
        name: "Smoke",
        rows: [Core::Piece::Row.new(counts: 8), Core::Piece::Row.new(counts: 8, name: "the drop")]
      )
    points =
      work(link(named), track: Core::Music::Track.new(tempo: [[1, 118]], first_count_seconds: 1.25)).order.start_points
    expect(points.map { |p| [p.name, p.count, p.seconds.round(3), p.music_from.round(3)] }).to eq [
      ["Smoke", 1, 1.25, -0.784],
      ["the drop", 9, 5.318, 3.284]
    ]
  end

  it "holds the order against the music's length and form" do
    track = Core::Music::Track.new(tempo: [[1, 60]], length_seconds: 40, form: [["verse", 16], ["chorus", 8]])
    fit = Core::Piece::MusicFit.new(work(link(section("a", 8, 4)), link(section("b", 8)), track:))
    expect(fit.findings.map { |f| [f.kind, f.amount, f.subject] }).to eq [
      [:music_left, 20.0, nil],
      [:part_shorter, 4, "verse"]
    ]
  end
end

RSpec.describe Core::Music::TempoMap do
  it "turns counts into seconds and back, across tempo changes" do
    each_case(80) do |random|
      beat = 0
      changes = Array.new(random.rand(1..5)) { [beat += random.rand(1..90), random.rand(40..220)] }
      map = described_class.new(changes, first_seconds: random.rand(-3.0..9.0))
      at = random.rand(-8.0..500.0)
      expect(map.beat_at(map.seconds_at(at))).to be_within(1e-6).of(at)
    end
  end

  it "refuses what no music has, naming the place" do
    expect { described_class.new([[1, 120], [5, 500]]) }.to raise_error(
      Core::ValueError,
      /tempo\[1\]\.bpm: must be 20 to 400/
    )
    expect { described_class.new([]) }.to raise_error(Core::ValueError, /at least one tempo/)
  end
end

RSpec.describe Core::Music::Taps do
  it "finds the tempo under unsteady hands, a missed beat and a tap too many" do
    each_case(60) do |random|
      bpm = random.rand(60..190)
      beat = 60_000.0 / bpm
      times = Array.new(24) { |i| (i * beat) + (random.rand(-0.04..0.04) * beat) }
      times.delete_at(random.rand(8..16))
      times.insert(4, times[3] + (beat * 0.4)) if random.rand < 0.5
      taps = described_class.new(times)
      expect(taps.bpm).to be_within(bpm * 0.02).of(bpm)
      expect(taps.dropped.size).to be_between(1, 3)
      expect(taps.spread).to be < 0.08
    end
  end

  it "needs eight taps that go forward" do
    expect { described_class.new([0] * 8) }.to raise_error(Core::ValueError, /go forward/)
    expect { described_class.new([1, 2, 3]) }.to raise_error(Core::ValueError, /at least 8, got 3/)
    expect(described_class.new((0..7).map { |i| i * 500 }).spread).to eq 0
  end
end

RSpec.describe Core::Joins::Sequence do
  it "finds joins with the same steps once, and keeps mirrored and altered edges apart" do
    a = section("a", 8, 8, 8)
    b = section("b", 8, 8)
    inner = Core::Piece::Changes.new(replace: { 2 => rows(8).first })
    ending = Core::Piece::Changes.new(replace: { 3 => rows(8).first })
    links = [
      link(a),
      link(b),
      link(a, id: 3, changes: inner),
      link(b),
      link(a, id: 5, mirrored: true),
      link(a, id: 6, changes: ending),
      link(b)
    ]
    sequence = described_class.new(work(*links).order)
    expect(sequence.joins.map(&:first_index)).to eq [1, 2, 1, 4, 5, 6]
    expect(sequence.distinct.map(&:key)).to eq %w[ja-b jb-a jb-am jam-a jax6-b]
    expect(sequence.joins[4]).to be_loop
  end
end
