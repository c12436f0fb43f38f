# frozen_string_literal: true

RSpec.describe Core::Piece::Sharing do
  def phrase(name, minutes) = described_class::Phrase.new(name, minutes, 32)

  # Every cut and every assignment, measured one by one.
  def all(sharing, sections)
    size = sharing.phrases.size
    cut = (1...size).to_a.combination(sections - 1).flat_map do |cuts|
      edges = [0, *cuts, size].each_cons(2).map { |from, to| [from, to - 1] }
      sharing.teachers.repeated_permutation(sections)
        .map { |teachers| sharing.measure(edges.zip(teachers).map { |edge, teacher| [*edge, teacher] }) }
    end
    cut.select do |proposal|
      sections < sharing.teachers.size || (sharing.teachers - proposal.blocks.map(&:last)).empty?
    end
  end

  def uneven(proposal) = [proposal.loads.values.max, proposal.loads.values.sum { |minutes| minutes**2 }]

  it "finds what full enumeration finds" do
    each_case(40) do |random|
      names = %w[A B C D E F].first(random.rand(2..6))
      minutes = names.to_h { |name| [name, random.rand(1..9) * 5] }
      order =
        (names + Array.new(random.rand(0..4)) { names.sample(random:) })
          .then { |list| names.first(1) + list.drop(1).shuffle(random:) }
          .map { |name| phrase(name, minutes[name]) }
      sections = random.rand(1..names.size)
      sharing = described_class.new(order, teachers: %w[x y z].first(random.rand(1..3)), sections:)
      every = all(sharing, sections)
      expect([*uneven(sharing.even), sharing.even.handovers]).to eq(every.map { |p| [*uneven(p), p.handovers] }.min)
      expect([sharing.few_handovers.handovers, *uneven(sharing.few_handovers)]).to eq(
        every.map { |p| [p.handovers, *uneven(p)] }.min
      )
    end
  end

  it "counts a repeat once, and keeps it with its teacher" do
    order = [phrase("A", 30), phrase("B", 20), phrase("A", 30), phrase("C", 10)]
    even = described_class.new(order, teachers: %w[x y], sections: 3).even
    expect([even.blocks, even.loads, even.handovers]).to eq [
      [[0, 0, "x"], [1, 1, "y"], [2, 2, "y"]],
      { "x" => 30, "y" => 30 },
      3
    ]
    few = described_class.new(order, teachers: %w[x y], sections: 3).few_handovers
    expect([few.handovers, few.loads.values.sum]).to eq [1, 60]
  end

  it "answers a long piece soon enough to wait for, and refuses what cannot be cut" do
    order = Array.new(40) { |i| phrase("P#{i % 30}", (5 * (i % 7)) + 10) }
    expect(described_class.new(order, teachers: %w[a b c], sections: 8).even.blocks.size).to eq 8
    expect { described_class.new([phrase("A", 5)], teachers: ["x"], sections: 2) }.to raise_error(
      Core::ValueError,
      /must be 1 to 1, got 2/
    )
  end
end
