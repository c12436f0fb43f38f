# frozen_string_literal: true

# The tempo of a recording from its onsets, made here as bands play: beats of different weight, some between them, some
# missing, early and late, over noise.
RSpec.describe Core::Music::OnsetTempo do
  # An envelope of so many seconds. first: second of the first beat; between: what the half beats weigh.
  def envelope(random, bpm:, seconds: 60, first: 0.37, between: 0.4, noise: 0.15)
    made = Array.new(seconds * 100) { random.rand * noise }
    period = 60.0 / bpm
    (0..(seconds / period * 2)).each do |half|
      on = half.even?
      next if random.rand < 0.08

      at = ((first + (half * period / 2) + ((random.rand - 0.5) * 0.012)) * 100).round
      weight = if on
                 (half % 8).zero? ? 1.0 : 0.7
               else
                 between
               end
      made[at] += weight if at < made.size
    end
    made
  end

  it "finds the tempo to a quarter of a percent among the ways it may be counted" do
    each_case(16) do |random|
      bpm = random.rand(68.0..168.0)
      found = described_class.new(envelope(random, bpm:, seconds: 40, between: [0, 0.3, 0.6].sample(random:)))
      expect(found).to be_found
      expect([found.choices.first, found.choices.uniq]).to eq [found.bpm, found.choices]
      expect(found.choices.map { |each| ((each / bpm) - 1).abs }.min).to be < 0.0025
      expect(found.choices.size).to be <= 5
    end
  end

  it "finds the beat itself where it stands out, at tempi that people count, and where the first one is" do
    [92, 100, 112, 118, 126, 132].each do |bpm|
      found = described_class.new(envelope(Random.new(bpm), bpm:, seconds: 40, between: 0.2))
      expect(found.bpm).to be_within(0.3).of(bpm)
      off = ((found.first_beat - 0.37) * bpm / 60) % 1
      expect([off, 1 - off].min).to be < 0.08
    end
  end

  it "says that there is no pulse in noise or in a hum" do
    each_case(8) { |random| expect(described_class.new(Array.new(2500) { random.rand })).not_to be_found }
    hum = Array.new(4000) { |i| 1 + (i / 4000.0) }
    expect(described_class.new(hum).clear).to be <= 1
  end

  it "asks for enough, for sounds, and for numbers" do
    { [1] * 799 => "at least 8 seconds", [0] * 900 => "silent", ([1] * 899) + [-1] => "numbers from 0",
      ([1] * 899) + [Float::NAN] => "numbers from 0", ([1] * 899) + ["x"] => "numbers from 0" }.each do |onsets, why|
      expect { described_class.new(onsets) }.to raise_error(Core::ValueError, /#{why}/)
    end
  end
end
