# frozen_string_literal: true

RSpec.describe Core::Learning do
  let(:cell) { Core::Learning::Cell }

  it "folds the log: the highest rung not taken back, separate days, the last day" do
    log = [
      entry(1, "taught", "2027-01-05", rung: 1),
      entry(2, "danced", "2027-01-08", rung: 3),
      entry(3, "danced", "2027-01-08", rung: 4),
      entry(4, "danced", "2027-01-12", rung: 5),
      entry(5, "undone", "2027-01-12", undoes: 4),
      entry(6, "danced", "2027-01-15", rung: 2)
    ]
    expect(cell.fold(log)).to eq cell.new(rung: 4, days: 1, clean: 1, last_danced_on: Date.new(2027, 1, 15))
  end

  it "marks a change until it is danced again, and lowers no tick for it" do
    log = [entry(1, "danced", "2027-01-05", rung: 4), entry(2, "changed", "2027-01-06")]
    expect([cell.fold(log).rung, cell.fold(log).changed]).to eq [4, true]
    expect(cell.fold([*log, entry(3, "danced", "2027-01-07", rung: 2)]).changed).to be false
  end

  it "fades by 0.9 to the days over a strength that grows with each day danced" do
    days = [
      [1, 4, :fresh],
      [1, 5, :fading],
      [1, 10, :fading],
      [1, 11, :rusty],
      [3, 12, :fresh],
      [3, 14, :fading],
      [9, 60, :fresh],
      [9, 61, :fading],
      [0, 0, nil]
    ]
    days.each do |danced, ago, state|
      last = danced.zero? ? nil : Date.new(2027, 3, 1) - ago
      fresh = Core::Learning::Freshness.new(days: danced, last_danced_on: last).on(Date.new(2027, 3, 1))
      expect(fresh).to eq(state), "#{danced} days, #{ago} ago"
    end
  end

  describe Core::Learning::Items do
    let(:first) { section(1, 8, 8, parts: [Core::Piece::Part.new(group: :scouts)]) }
    let(:second) { section(2, 8) }
    let(:altered) { link(second, id: 9, changes: Core::Piece::Changes.new(replace: { 1 => rows(8).first })) }
    let(:items) do
      described_class.new(work(link(first), link(second), altered), cast: { ada: [:scouts], bo: [:nurses] })
    end

    it "asks each dancer only for what they dance, an altered repeat apart" do
      expect(items.columns.map(&:key)).to eq %w[o s1 j1-2 s2 j2-2x9 d9 e]
      expect(items.for(:bo).map(&:key)).to eq %w[s2 j2-2x9 d9 e]
      expect(items.for(:ada).map(&:key)).to eq %w[o s1 j1-2 s2 j2-2x9 d9 e]
    end

    it "finds the longest chains that enough of those in them are ready for, and who is missing" do
      cells = {
        [:ada, "s1"] => 3,
        [:ada, "j1-2"] => 2,
        [:ada, "s2"] => 3,
        [:bo, "s2"] => 3,
        [:ada, "d9"] => 3,
        [:bo, "d9"] => 1,
        [:ada, "j2-2x9"] => 2,
        [:bo, "j2-2x9"] => 2
      }
      progress = progress_of(cells)
      chains = lambda do |share|
        Core::Learning::LongestChains
          .new(links: 3, present: %i[ada bo], items:, progress:, share:)
          .all
          .map { |c| [c.from, c.to, c.missing] }
      end
      expect(chains.call(0.85)).to eq [[1, 2, []]]
      expect(chains.call(0.5)).to eq [[1, 3, [:bo]]]
    end

    it "says what in the run nobody was ever shown" do
      progress = progress_of([:ada, "s1"] => 4, [:ada, "s2"] => 4)
      gaps = Core::Learning::Coverage.new(items, progress).gaps.map { |line| line.item.key }
      expect(gaps).to eq %w[o j1-2 j2-2x9 d9 e]
      expect(progress.total(items)).to be_within(0.001).of(8.0 / 44)
    end
  end
end

RSpec.describe Core::Learning::Forecast do
  def day(number) = Date.new(2027, 3, number)

  def gap(days, last: day(1), danced: 1)
    described_class.new(
      Core::Learning::Cell.new(rung: 3, days: danced, last_danced_on: last),
      days.map { |number| day(number) },
      today: day(2),
      ends: day(31)
    ).gap
  end

  it "says since when, from when rusty, and until when" do
    expect(gap([20]).to_h).to eq(since: day(1), rusty: day(12), until: day(20))
    expect(gap([]).until).to eq day(31)
    expect(gap([12])).not_to be_nil
  end

  it "grows with each day it is danced" do
    expect(gap([11, 30])).to be_nil
    expect(gap([5, 25]).to_h).to eq(since: day(5), rusty: day(25), until: day(25))
    expect(gap([5, 24])).to be_nil
    expect([gap([20], danced: 2), gap([21], danced: 2)&.rusty]).to eq [nil, day(21)]
  end

  it "leaves alone what was never danced, and what is rusty already" do
    expect([gap([20], last: nil), gap([20], last: day(1) - 30)]).to eq [nil, nil]
  end

  it "agrees with freshness day by day" do
    each_case(40) do |random|
      danced = random.rand(1..6)
      rusty =
        Core::Learning::Freshness.new(days: danced, last_danced_on: day(1))
          .then { |fresh| (0..400).map { |i| day(1) + i }.find { |date| fresh.on(date) == :rusty } }
      expect(Core::Learning::Freshness.new(days: danced, last_danced_on: day(1)).rusty_on).to eq rusty
    end
  end
end
