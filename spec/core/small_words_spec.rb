# frozen_string_literal: true

# The small parts that reading movement rests on: where moves land on counts, what eights a text holds, what steps are
# called.
RSpec.describe Core::Movement do
  let(:reader) { Core::Movement::Reader.new }

  def moves(text) = reader.read(text).flat_map(&:moves).map { |move| [move.step, move.at, move.length] }

  describe "moves on said counts" do
    it "take one count each where there are as many" do
      expect(moves("1&2 step R L R")).to eq [["step", 0, nil], ["step", 6, nil], ["step", 12, nil]]
    end

    it "share the counts evenly where there are fewer, one taking all where it is alone" do
      expect(moves("1 2 3 4 step R step L")).to eq [["step", 0, 24], ["step", 24, 24]]
      expect(moves("1-4 step R step L")).to eq [["step", 0, 24], ["step", 24, 24]]
      expect(moves("1-4 step R")).to eq [["step", 0, 48]]
      expect(moves("1-4 walk R")).to eq [["walk", 0, nil], ["walk", 12, nil], ["walk", 24, nil], ["walk", 36, nil]]
    end

    it "leave open what finds no count" do
      expect(moves("1 2 step R step L kick R")).to eq [["step", 0, 24], ["step", nil, nil], ["kick", nil, nil]]
      expect(reader.read("1 2 step R step L kick R").first.loose.map(&:step)).to eq %w[step kick]
    end

    it "say their own count and end" do
      move = reader.read("2& step R").first.moves.first
      expect([move.at, move.end_at, move.count]).to eq [12, 24, 2.0]
      expect(reader.read("1& step R L").first.moves.last.count).to eq 1.5
    end
  end

  describe described_class::Step do
    def offsets(**facts) = described_class.of("made up", **facts).offsets

    it "spreads its placements over its counts, or swings them as it says" do
      expect(
        [
          offsets,
          offsets(weights: %i[lead other]),
          offsets(weights: %i[lead other lead], counts: 2),
          offsets(weights: %i[lead other], swing: [0, 8])
        ]
      ).to eq [[], [0, 6], [0, 8, 16], [0, 8]]
    end
  end

  describe described_class::TypedEights do
    it "takes apart what holds several eights, each with its own words" do
      {
        "1 step R" => [[8, "1 step R"]],
        "1 kick L // o/s" => [[8, "1 kick L"], [8, "o/s"]],
        "1 step R\n1 step L\n" => [[8, "1 step R"], [8, "1 step L"]],
        "1 step R / 2 step L" => [[8, "1 step R"], [8, "2 step L"]],
        "in 6: 1 step R" => [[6, "1 step R"]],
        "in 6: 1 step R // 1 step L" => [[6, "1 step R"], [6, "1 step L"]],
        "step R L x2" => [[8, "step R L x2"]]
      }.each do |text, eights|
        expect(described_class.of(text)).to eq eights
      end
      expect(described_class.of("1 step R", counts: 5)).to eq [[5, "1 step R"]]
    end
  end

  describe described_class::Vocabulary do
    it "finds a step by name or nickname, with or without accents, and a studio's own first" do
      said = ["ball-change", "Ball Change", "ball ch", "plié", "PLIE", "zumble"]
      expect(said.map { |name| described_class::DEFAULT.find(name)&.name }).to eq [
        "ball-change",
        "ball-change",
        "ball-change",
        "plié",
        "plié",
        nil
      ]
      own = described_class.new(own: [Core::Movement::Step.of("kick", counts: 3)])
      expect([own.find("kick").counts, own.find("step").name, described_class::DEFAULT.find("kick").counts]).to eq [
        3,
        "step",
        1
      ]
    end

    it "prefers the longest name" do
      expect(described_class::DEFAULT.match(%w[ball ch l r], 0).then { |step, words| [step.name, words] }).to eq [
        "ball-change",
        2
      ]
      expect(described_class::DEFAULT.match(%w[zumble], 0)).to be_nil
    end
  end

  describe described_class::Names do
    let(:names) do
      described_class.new(
        {
          "Smoke" => reader.read("1 ball change L R 3 zumble"),
          "Drift" => reader.read("1 ball-ch L R 3 Zumble 5 step R")
        }
      )
    end

    it "tells two names of one step from one, and keeps words nobody knows" do
      expect(names.uses.map { |use| [use.step, use.names, use.several?] }).to eq [
        ["ball-change", { "ball change" => ["Smoke"], "ball ch" => ["Drift"] }, true],
        ["step", { "step" => ["Drift"] }, false]
      ]
      expect(names.unknown).to eq("zumble" => %w[Smoke Drift])
    end
  end

  describe described_class::Fork do
    def fork(one, other)
      described_class
        .between(reader.read(one), reader.read(other), section: 1, links: [1, 2])
        &.then { |found| [found.row, found.count, found.alike] }
    end

    it "is the first count that differs, on the first eight that does" do
      expect(fork("1 step R 3 kick L", "1 step R 3 jump")).to eq [1, 3.0, 0]
      expect(fork("1 step R", "1 step R 5 jump")).to eq [1, 5.0, 0]
      expect(fork("1 step R // 1 step L", "1 step R")).to eq [2, 1, 8]
      expect(fork("1 step R // 1 step L 4 jump", "1 step R // 1 step L")).to eq [2, 4.0, 8]
      expect(fork("1 step R // 1 step L", "1 step R // 1 step L")).to be_nil
    end
  end

  describe Core::Values::Bits do
    it "holds a set as it is" do
      each_case(30) do |random|
        indexes = Array.new(random.rand(0..20)) { random.rand(0..130) }.uniq.sort
        set = described_class.of(indexes)
        expect([described_class.to_a(set), described_class.count(set)]).to eq [indexes, indexes.size]
      end
    end
  end

  describe Core::Values::Value do
    it "is equal by class and all fields, and refuses what it does not have" do
      one = Core::Piece::Row.new(counts: 8, text: "a")
      expect(
        [
          Core::Piece::Row.new(counts: 8, text: "a"),
          one.with(text: "b"),
          Struct.new(:counts, :text).new(8, "a")
        ].map { |other| one == other }
      ).to eq [true, false, false]
      expect(one.hash).to eq one.with(text: "b").with(text: "a").hash
      expect { one.with(words: "b") }.to raise_error(KeyError)
    end
  end
end
