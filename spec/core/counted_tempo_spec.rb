# frozen_string_literal: true

# Tempi of another program as tempi of counts.
RSpec.describe Core::Music::CountedTempo do
  def tempo(changes, beats: 64) = described_class.new(changes, beats:).tempo

  it "keeps tempi that change on a beat, and says 120 where there are none" do
    expect(tempo([[0, 112], [32, 96.5]])).to eq [[1, 112.0], [33, 96.5]]
    expect(tempo([])).to eq [[1, 120.0]]
    expect(tempo([[8, 90]])).to eq([[1, 90.0]])
  end

  it "leaves out changes that nobody hears, and of several at one beat keeps what they come to" do
    slow = described_class.new([[0, 120], [8, 120.2], [16, 60]], beats: 32)
    expect([slow.tempo, slow.left_out, slow.moved]).to eq [[[1, 120.0], [17, 60.0]], 1, 0]
    crowded = described_class.new([[0, 100], [7.9, 50], [8.1, 120]], beats: 32)
    expect(crowded.tempo.map(&:first)).to eq [1, 9]
    expect(crowded.moved).to eq 2
  end

  it "keeps the music at its second, however the tempo bends" do
    each_case(60) do |random|
      at = 0.0
      changes = Array.new(random.rand(1..12)) do |i|
        at += i.zero? ? 0 : random.rand(2.0..9.0)
        [at, random.rand(60.0..170.0)]
      end
      counted = described_class.new(changes, beats: at + 16)
      map = Core::Music::TempoMap.new(counted.tempo)
      (at + 16).to_i.times do |beat|
        expect(map.seconds_at(beat + 1)).to be_within(0.35).of(counted.seconds_at(beat))
      end
      expect(map.seconds_at(at.round + 9)).to be_within(0.35).of(counted.seconds_at(at.round + 8))
    end
  end
end
