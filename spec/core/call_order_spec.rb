# frozen_string_literal: true

# The order within one rehearsal beyond the size that is proven, and the sentences for what a walk finds.
RSpec.describe Core::Planning::CallOrder do
  def random_case(random, items, people)
    durations = Array.new(items) { random.rand(1..6) }
    [durations, Array.new(people) { Array.new(items) { random.rand < 0.3 ? "1" : "0" }.join }]
  end

  # The definition, minute by minute: somebody waits in every minute between their first and last that is not theirs.
  def waiting(order, durations, calls)
    calls.sum do |row|
      minutes = order.flat_map { |item| [row[item - 1] == "1"] * durations[item - 1] }
      minutes.index(true) ? minutes[minutes.index(true)..minutes.rindex(true)].count(false) : 0
    end
  end

  it "counts waiting as it is defined, person by person" do
    each_case(40) do |random|
      durations, calls = random_case(random, random.rand(1..8), random.rand(1..6))
      answer = described_class.new(durations, calls).best
      expect(answer.order.sort).to eq (1..durations.size).to_a
      expect([answer.waiting, answer.by_person.sum]).to eq [waiting(answer.order, durations, calls)] * 2
    end
  end

  it "says beyond sixteen items that it has no proof, and is never worse than the order it was given" do
    each_case(4) do |random|
      durations, calls = random_case(random, 18, 6)
      answer = described_class.new(durations, calls).best
      expect([answer.proven, answer.order.sort]).to eq [false, (1..18).to_a]
      expect(answer.waiting).to eq waiting(answer.order, durations, calls)
      expect(answer.waiting).to be <= waiting((1..18).to_a, durations, calls)
    end
  end

  it "keeps what comes before what, proven or not, and gives up waiting for it" do
    each_case(12) do |random|
      items = [6, 18].sample(random:)
      durations, calls = random_case(random, items, 4)
      after = (1...items).select { random.rand < 0.4 }.to_h { |item| [item, [random.rand(0...item)]] }
      bound = described_class.new(durations, calls, after:).best
      places = bound.order.each_with_index.to_h
      expect(after.all? { |item, before| before.all? { |each| places[each + 1] < places[item + 1] } }).to be true
      expect(bound.waiting).to be >= described_class.new(durations, calls).best.waiting if items == 6
    end
  end

  it "finds the order nobody waits in, when there is one, among twenty" do
    calls = Array.new(10) { |i| Array.new(20) { |item| item / 2 == i ? "1" : "0" }.join }
    mixed = (0...20).to_a.shuffle(random: Random.new(5))
    answer = described_class.new([3] * 20, calls.map { |row| mixed.map { |item| row[item] }.join }).best
    expect(answer.waiting).to be <= 6
  end
end

RSpec.describe Core::Movement::FindingWriter do
  def sentences(*texts, counts: 8)
    rows = texts.map { |text| Core::Piece::Row.new(counts:, text:) }
    piece = work(link(Core::Piece::Section.new(id: 1, name: "Smoke", rows:)))
    Core::Piece::Danced.new(piece).walk(piece.links.first).findings
      .map { |finding| [finding.row, described_class.new(say: SAY).text(finding)] }
  end

  it "says at its place what cannot be danced as written" do
    expect(sentences("1 step R 2 step R")).to eq [
      [1, "The right foot already bears the weight. Is there a close or a weight change before it?"]
    ]
    expect(sentences("1 step R", "9 clap")).to eq [[2, "This line has no count 9."]]
    expect(sentences("1 sit on the floor", "1 jump")).to include [
      2,
      a_string_starting_with("This starts standing, but the body is on the floor here.")
    ]
    expect(sentences("1-4 kneel", "1 jump")).to include [
      2,
      a_string_starting_with("This starts standing, but the body is on the knees here.")
    ]
    expect(sentences("1 step R 2 step L", "1 step R")).to eq []
  end
end
