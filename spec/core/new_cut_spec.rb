# frozen_string_literal: true

RSpec.describe Core::Piece::NewCut do
  let(:first) { section("a", 8, 8, choreographer: "Odalys") }
  let(:second) { section("b", 8, 8, choreographer: "Mirela") }
  let(:track) { Core::Music::Track.new(tempo: [[1, 120]], length_seconds: 24.0, form: [["verse", 32], ["chorus", 16]]) }
  let(:piece) { work(link(first), link(second), link(first), track:) }

  def cut(**facts) = described_class.new(piece, track.with(**facts))

  it "finds nothing in the same recording" do
    same = cut
    expect([same.moved, same.parts, same.stale_joins, same.told]).to all be_empty
  end

  it "shifts everything alike when only the beginning moves, and makes no join stale" do
    later = cut(first_count_seconds: 2.5, length_seconds: 30.0)
    expect(later.shifts.map { |shift| [shift.by.round(3), shift.stretch.round(3), shift.lost] }).to eq [[2.5, 0.0, 0]] *
      3
    expect([later.stale_joins, later.told]).to eq [[], %w[Odalys Mirela]]
  end

  it "stretches what lies in a new tempo, and has the joins into it danced anew" do
    slower = cut(tempo: [[1, 120], [17, 60], [33, 120]], length_seconds: 40.0)
    expect(slower.moved.map { |shift| [shift.placed.index, shift.by, shift.stretch] }).to eq [
      [2, 0.0, 8.0],
      [3, 8.0, 0.0]
    ]
    expect([slower.stale_joins, slower.told]).to eq [[1], %w[Mirela Odalys]]
  end

  it "counts what falls past the end of a shorter recording" do
    shorter = cut(length_seconds: 20.0)
    expect(shorter.shifts.map(&:lost)).to eq [0, 0, 8]
    expect(shorter.stale_joins).to eq [2]
  end

  it "compares the parts of the form by name and order, also those that come or go" do
    parts = cut(form: [["verse", 24], ["chorus", 16], ["chorus", 8]]).parts
    expect(parts.map { |part| [part.name, part.before, part.after] }).to eq [["verse", 32, 24], ["chorus", nil, 8]]
    expect(cut(form: []).parts.map(&:after)).to eq [nil, nil]
  end
end

RSpec.describe Core::Piece::Version do
  let(:taught) do
    Core::Piece::Section.new(
      id: 1,
      name: "A",
      rows: [
        Core::Piece::Row.new(counts: 8, text: "1 step R 2 step L"),
        Core::Piece::Row.new(counts: 6, text: "1 jump")
      ],
      entry: { weight: :left }
    )
  end
  let(:seated) { described_class.new(kind: "seated", eights: { 2 => "1-6 wheel", 1 => "" }) }

  it "stands in eight by eight with the section's own counts, and walks" do
    danced = seated.of(taught)
    expect([danced.rows.map(&:text), danced.counts, danced.entry]).to eq [
      ["1 step R 2 step L", "1-6 wheel"],
      taught.counts,
      { weight: :seated, level: :seated }
    ]
    expect(described_class.new(kind: "smaller", eights: seated.eights).of(taught).entry).to eq({})
    expect(seated.touched).to eq [2]
    expect(Core::Piece::Danced.new(work(sections: [danced])).section_walk(danced).exit.weight.value).to eq :seated
  end
end
