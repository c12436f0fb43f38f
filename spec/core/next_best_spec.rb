# frozen_string_literal: true

# The next best half hour, worked out by hand: two sections and their join, a few dancers.
RSpec.describe Core::Planning::NextBest do
  let(:first) { section(1, 8, 8, choreographer: :odalys) }
  let(:second) { section(2, 8, 8, choreographer: :mirela) }
  let(:danced) { work(link(first), link(second)) }
  let(:cast) { %i[ada bo cy di].to_h { |name| [name, [:all]] } }
  let(:items) { Core::Learning::Items.new(danced, cast:) }

  def tasks(progress, **facts)
    Core::Planning::NextTasks.new(danced, items:, progress:, estimate: Core::Planning::Estimate.new,
                                          today: Date.new(2027, 3, 1), **facts)
  end

  def offers(rungs, minutes: 30, people: cast.keys, **facts)
    progress = progress_of(rungs)
    described_class.new(tasks(progress, **facts), minutes:, people:, kind: "stumble_through", chain: { links: 2 })
      .offers.map { |offer| [offer.kind, offer.item.key, offer.people, offer.longer, offer.blocks] }
  end

  def all_at(rung, *keys) = cast.keys.product(keys).to_h { |cell| [cell, rung] }

  it "joins what stands apart before anything else, and says that the chain grows and a block falls" do
    expect(offers(all_at(3, "s1", "s2")).first).to eq ["join", "j1-2", cast.keys, 1, 1]
  end

  it "teaches only what whoever is there teaches, as many eights as fit, to enough of those who dance it" do
    expect(offers({}, teachers: [:mirela])).to eq [["learn", "s2", cast.keys, 0, 1]]
    expect(offers({}, teachers: [], reached: { 1 => 2, 2 => 2 })).to be_empty
    expect(offers({}, people: [:ada])).to be_empty
  end

  it "catches up the few who are behind, and fits into the minutes and the room" do
    most = all_at(3, "s1").except([:di, "s1"])
    expect(offers(most, reached: { 1 => 2, 2 => 2 })).to include ["catch_up", "s1", [:di], 0, 1]
    expect(offers(all_at(3, "s1", "s2"), capacity: 3)).to be_empty
    expect(offers(all_at(3, "s1", "s2"), minutes: 4)).to be_empty
  end

  it "offers nothing that nobody gains from" do
    expect(offers(all_at(5, "s1", "s2", "j1-2"))).to be_empty
  end

  it "never offers more minutes than there are, nor anybody who is not there" do
    each_case(40) do |random|
      rungs = cast.keys.product(items.all.map(&:key)).to_h { |cell| [cell, random.rand(6)] }
      here = cast.keys.sample(random.rand(1..4), random:)
      minutes = random.rand(5..60)
      found = described_class.new(tasks(progress_of(rungs)), minutes:, people: here, kind: "with_music",
                                                             chain: { links: 2 }).offers
      expect(found.map(&:minutes)).to all(be <= minutes)
      expect(found.flat_map(&:people) - here).to be_empty
    end
  end
end
