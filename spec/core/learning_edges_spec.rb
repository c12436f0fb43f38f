# frozen_string_literal: true

# What holds of learning whatever was ticked: over made-up pieces, casts and logs.
RSpec.describe Core::Learning do
  def learn = Core::Learning

  # A piece of some links from fewer sections, groups in some of them, one perhaps altered.
  def made_up(random)
    groups = %i[reds blues greens]
    sections = Array.new(random.rand(1..4)) do |i|
      parts = groups.sample(random.rand(0..2), random:).map { |group| Core::Piece::Part.new(group:) }
      section(i + 1, 8, 8, parts:)
    end
    links = Array.new(random.rand(1..7)) { |i| link(sections.sample(random:), id: i + 1, **change(random)) }
    cast = (1..random.rand(1..8)).to_h { |person| [person, groups.sample(random.rand(0..2), random:)] }
    [work(*links), learn::Items.new(work(*links), cast:)]
  end

  def change(random)
    random.rand < 0.2 ? { changes: Core::Piece::Changes.new(replace: { 2 => rows(8).first }) } : {}
  end

  def ticked(items, random)
    progress_of(items.all.flat_map { |item| items.dancers(item).map { |who| [[who, item.key], random.rand(6)] } }.to_h)
  end

  def log(random)
    (1..random.rand(1..12)).map do |id|
      kind = learn::Entry::KINDS.sample(random:)
      facts = kind == "undone" ? { undoes: random.rand(1..id) } : { rung: random.rand(0..5) }
      learn::Entry.new(id:, kind:, day: Date.new(2027, 3, 1) + random.rand(20), **facts)
    end
  end

  it "folds a log to the same cell however its entries of one day are spread, and taking all back leaves nothing" do
    each_case(60) do |random|
      entries = log(random)
      cell = learn::Cell.fold(entries)
      undone = entries.reject { |entry| entry.kind == "undone" }.map.with_index do |entry, i|
        learn::Entry.new(id: 100 + i, kind: "undone", day: entry.day, undoes: entry.id)
      end
      expect(cell.days).to be <= entries.map(&:day).uniq.size
      expect(cell.clean).to be <= entries.size
      expect(learn::Cell.fold(entries + undone)).to eq learn::Cell.new
    end
  end

  it "counts as learned in no way but by clean runs what has not the rung, and by ticks whatever counts in any other" do
    each_case(60) do |random|
      cell = learn::Cell.fold(log(random))
      ways = learn::Way::NAMES.map { |name| learn::Way.new(name:, runs: random.rand(1..4)) }
      learned = ways.map { |way| way.learned?(cell, learn::Ladder::DEFAULT) }
      by_name = learn::Way::NAMES.zip(learned).to_h
      expect(by_name.except("clean_runs").values.any?).to be by_name["ticks"]
      runs = ways.find { |way| way.name == "clean_runs" }.runs
      expect(by_name["clean_runs"]).to be(cell.clean >= runs)
      ways.each do |way|
        begun = by_name["ticks"] || (way.name == "clean_runs" && cell.clean.positive?)
        missing = way.missing(cell, learn::Ladder::DEFAULT)
        expect(missing.nil?).to be(!begun || way.learned?(cell, learn::Ladder::DEFAULT))
      end
    end
  end

  it "never calls ready a harder run where an easier one is blocked by the same rung" do
    each_case(60) do |random|
      _, items = made_up(random)
      progress = ticked(items, random)
      blocks = learn::Readiness::KINDS.to_h { |kind| [kind, learn::Readiness.new(items, progress, kind:).blocks] }
      expect(blocks["stumble_through"].size).to be <= blocks["slow_counts"].size
      expect(blocks["with_music"].size).to be <= blocks["full_out"].size
      blocks.values.flatten.each do |block|
        expect([block.have + block.lacking.size, block.more]).to match [block.of, be_between(1, block.lacking.size)]
      end
    end
  end

  it "lifts a block by as many as it says, and by no fewer" do
    each_case(60) do |random|
      _, items = made_up(random)
      progress = ticked(items, random)
      block = learn::Readiness.new(items, progress, kind: "with_music").blocks.sample(random:) or next
      lifted = lambda do |count|
        cells = block.lacking.first(count).to_h { |who| [who, learn::Cell.new(rung: 5)] }
        learn::Readiness.new(items, progress.with({ block.item.key => cells }), kind: "with_music")
          .blocks.none? { |each| each.item.key == block.item.key }
      end
      expect([lifted.call(block.more), lifted.call(block.more - 1)]).to eq [true, false]
    end
  end

  it "says who stands between a chain and one link more: with all of them it is there" do
    each_case(60) do |random|
      piece, items = made_up(random)
      progress = ticked(items, random)
      chains = lambda { |with|
        learn::LongestChains.new(links: piece.order.links.size, present: items.everybody, items:, progress: with)
      }
      chain = chains.call(progress).all.first or next
      chains.call(progress).longer(chain).each do |more|
        all = items.all.to_h { |item| [item.key, items.dancers(item).to_h { |who| [who, learn::Cell.new(rung: 5)] }] }
        longest = chains.call(progress.with(all)).all.first
        expect(longest.length).to be > chain.length
        expect(more.more).to be_between(1, [more.lacking.size, 1].max)
      end
    end
  end

  it "catches nobody up beyond the others, with a buddy who dances it and has it" do
    each_case(60) do |random|
      _, items = made_up(random)
      progress = ticked(items, random)
      pace = learn::Pace.new(items, progress)
      core = learn::CatchUp.new(items, progress, minutes: ->(_, left) { (left * 30).ceil })
      core.everybody.each do |person, lags|
        lines = core.for(person)
        expect(lines.map(&:item)).to eq lags
        lines.each do |line|
          expect(line.pace).to be_between(line.rung + 1, [pace.of(line.item), 3].min)
          next if line.buddy.nil?

          expect(items.dancers(line.item) - [person]).to include line.buddy
          expect(progress.rung(line.buddy, line.item.key)).to be >= [line.pace, 1].max
        end
      end
    end
  end

  it "finds the holes of what is danced, each once, and none where all was taught, joined, run and danced lately" do
    day = Date.new(2027, 3, 20)
    each_case(40) do |random|
      piece, items = made_up(random)
      coverage = learn::Coverage.new(items, ticked(items, random), runs: [1..random.rand(1..9)])
      found = coverage.holes(day).values.flatten.map { |line| line.item.key }
      expect(found).to eq found.uniq
      cells = items.all.to_h do |item|
        [item.key, items.dancers(item).to_h { |who| [who, learn::Cell.new(rung: 4, days: 3, last_danced_on: day)] }]
      end
      whole = learn::Coverage.new(items, learn::Progress.new(cells), runs: [1..piece.order.links.size])
      expect(whole.holes(day)).to be_empty
    end
  end

  it "waits for the slot by which enough of those lacking were called to it" do
    block = learn::Readiness::Block.new(item: learn::Item.new(kind: :section, key: "s1", name: "A", links: [1]),
                                        rung: "slow", have: 1, of: 4, lacking: %i[ada bo cy], more: 2)
    slot = lambda do |day, people, key = "s1"|
      learn::Soonest::Slot.new(id: day, day: Date.new(2027, 3, day), minute: 600, works_on: [key], people:)
    end
    slots = [slot[9, %i[ada bo cy]], slot[2, %i[ada di]], slot[3, %i[ada bo], "s2"], slot[5, [:cy]]]
    expect(learn::Soonest.new(slots).slot(block).id).to eq 5
    expect(learn::Soonest.new(slots.first(1)).slot(block.dup.tap { |one| one.more = 4 })).to be_nil
  end
end
