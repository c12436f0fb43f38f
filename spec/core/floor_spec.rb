# frozen_string_literal: true

RSpec.describe Core::Floor do
  def part(group, offset = 0, **facts) = Core::Piece::Part.new(group:, offset:, **facts)

  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def piece(*sections, groups: %w[a b c])
    work(*sections.map { |each| link(each) }, groups: groups.map { |id| [id, id] })
  end

  def checks(work, **facts) = Core::Floor::LineChecks.new(work, **facts)
  def found(work, **facts) = checks(work, **facts).findings.map { |f| [f.kind, f.link, f.groups, f.from, f.to] }
  def lanes(work, index = 1) = checks(work).lanes(index).all.map { |lane| [lane.group, lane.from, lane.to, lane.doing] }

  def formation(spots)
    Core::Floor::Formation.new(spots: spots.transform_values { |x, y| Core::Floor::Spot.new(x: x.to_f, y: y.to_f) })
  end

  describe "lanes" do
    it "gives everybody the section as written, freestyle counts apart" do
      expect(lanes(piece(typed("s", "1 step R 5-8 freestyle"), groups: %w[a]))).to eq [
        ["a", 1, 4, :moving],
        ["a", 5, 8, :free]
      ]
    end

    it "lays a part on the counts: off, holding, moving, holding; a group without a part is off" do
      expect(
        lanes(piece(typed("s", "1 step R", parts: [part("a", 4, hold_before: 2, hold_after: 4), part("b", 8)])))
      ).to eq(
        [
          ["a", 1, 2, :off],
          ["a", 3, 4, :holding],
          ["a", 5, 12, :moving],
          ["a", 13, 16, :holding],
          ["b", 1, 8, :off],
          ["b", 9, 16, :moving],
          ["c", 1, 16, :off]
        ]
      )
    end

    it "lets a stretch win over the moves, and a dovetail begin before the link" do
      lane = lanes(piece(typed("s", "1 step R", parts: [part("a", -2, stretches: [[3, 4, :holding]])]), groups: %w[a]))
      expect(lane).to eq [["a", -1, 2, :moving], ["a", 3, 4, :holding], ["a", 5, 6, :moving]]
    end
  end

  describe "checks of the lines" do
    let(:unison) { typed("u", "1 step L") }

    it "gives both numbers when a three-voice canon at 2 counts does not meet where unison returns" do
      canon = typed("s", "1 step R", parts: [part("a"), part("b", 2), part("c", 4)])
      together = checks(piece(canon, unison)).findings.find { |f| f.kind == :not_together }
      expect([together.ends, together.from, together.to]).to eq [{ "a" => 8, "b" => 10, "c" => 12 }, 8, 12]
      held = typed("s", "1 step R", parts: [part("a", hold_after: 4), part("b", 2, hold_after: 2), part("c", 4)])
      expect(found(piece(held, unison))).to be_empty
    end

    it "counts who is unaccounted for after their part" do
      canon = typed("s", "1 step R", parts: [part("a"), part("b", 2), part("c", 4)])
      expect(found(piece(canon))).to eq [[:unaccounted, 1, ["a"], 9, 12], [:unaccounted, 1, ["b"], 11, 12]]
      expect(found(piece(canon), cast: { 1 => ["a"], 2 => [] }).last).to eq [:no_line, 1, [], 1, 12]
    end

    it "finds nothing in swapped halves: one moves while the other holds" do
      halves = typed("s", "1 step R", parts: [part("a", 0, hold_after: 8), part("b", 8, hold_before: 8)])
      expect(found(piece(halves, unison))).to eq []
    end

    it "lets a soloist move inside another group's hold, and asks a dancer of both for two things" do
      solo =
        typed(
          "s",
          "1 step R",
          "1 step L",
          parts: [part("a", 0, stretches: [[9, 16, :holding]]), part("b", 0, stretches: [[1, 8, :off]])]
        )
      expect(found(piece(solo, unison), cast: { 1 => ["a"], 2 => ["b"] })).to eq []
      double = checks(piece(solo, unison), cast: { 1 => %w[a b] }).findings.first
      expect([double.kind, double.groups, double.from, double.to, double.people]).to eq [
        :two_things,
        %w[a b],
        9,
        16,
        [1]
      ]
    end

    it "asks nobody of two groups for two things when these do the same" do
      same = typed("s", "1 step R", parts: [part("a"), part("b"), part("c", 0, mirrored: true)])
      expect(found(piece(same), cast: { 1 => %w[a b] })).to eq []
      expect(found(piece(same), cast: { 1 => %w[a c] }).map(&:first)).to eq [:two_things]
    end

    it "lets a group dovetail into the next link, but not out of a hold" do
      leaving = ->(**more) { typed("s", "1 step R", parts: [part("a", 0, **more), part("b", 4)]) }
      entering = typed("t", "1 step L", parts: [part("a", -4), part("b", 0)])
      expect(found(piece(leaving.call, entering)).select { |kind,| kind == :unaccounted }).to eq [
        [:unaccounted, 2, ["a"], 5, 8]
      ]
      expect(found(piece(leaving.call(hold_after: 4), entering)).map(&:first)).to include(:hold_released)
    end

    it "says when the last voice is later than the section is said to be long" do
      late = typed("s", "1 step R", parts: [part("a", 0, hold_after: 2), part("b", 2)], expected_counts: 8)
      expect(found(piece(late)).last).to eq [:late, 1, %w[a b], 9, 10]
    end
  end

  describe "formations" do
    it "makes every pattern with neighbours as far apart as asked, around its middle" do
      Core::Floor::Patterns::NAMES.product([2, 5, 13]).each do |name, count|
        points = Core::Floor::Patterns.points(name, count, spacing: 1.2)
        least = points.combination(2).map { |a, b| Math.hypot(a[0] - b[0], a[1] - b[1]) }.min
        expect(points.size).to eq count
        expect(least).to be >= (name == "wedge" ? 1.1 : 1.19), name
        points.transpose.each { |values| expect(values.minmax.sum.abs).to be < 0.03 }
      end
    end

    it "is the same scatter for the same seed, and refuses a pattern it does not know" do
      first, again = Array.new(2) { Core::Floor::Patterns.points("scattered", 9, random: Random.new(4)) }
      expect(first).to eq again
      expect { Core::Floor::Patterns.points("spiral galaxy", 4) }.to raise_error(Core::ValueError, /must be one of/)
    end

    it "gives a wheelchair the circle it turns in, both its wheels on the floor, and more room on the way" do
      floor = formation("a" => [0, 2], "b" => [1.4, 2], "w" => [5.8, 2])
      expect([floor.tight, floor.tight(wheels: ["b"]).map { |pair| pair.first(2) }]).to eq [[], [%w[a b]]]
      expect([floor.off(12, 9), floor.off(12, 9, wheels: ["w"])]).to eq [[], ["w"]]
      from = formation("a" => [0, 0], "w" => [1.0, 4])
      to = formation("a" => [0, 4], "w" => [1.0, 0])
      passes = [[], ["w"]].map { |wheels| Core::Floor::Ways.new(from, to, counts: 8, wheels:).near_passes.size }
      expect(passes).to eq [0, 1]
    end

    it "finds who stands too tight, off the floor, or hidden from the front" do
      floor = formation("a" => [0, 1], "b" => [0.2, 3], "c" => [0.9, 3], "d" => [6.5, 2])
      expect(floor.tight.map { |a, b, metres| [a, b, metres.round(2)] }).to eq [["b", "c", 0.7]]
      expect([floor.tight(2.5).size, floor.off(12, 9), floor.hidden]).to eq [3, ["d"], [%w[b a]]]
      expect(floor.mirrored.spots["d"].x).to eq(-6.5)
    end
  end

  describe "ways" do
    let(:from) { formation("a" => [0, 0], "b" => [4, 0], "c" => [0, 5]) }
    let(:to) { formation("a" => [4.8, 0], "b" => [0, 0], "c" => [0, 5]) }

    it "judges the pace against comfortable and fast, scaled by the tempo" do
      paces =
        [[8, 110], [4, 110], [3, 110], [8, 220]].map do |counts, bpm|
          Core::Floor::Ways.new(from, to, counts:, bpm:).all.first.then { |way| [way.person, way.pace, way.verdict] }
        end
      expect(paces).to eq [["a", 0.6, :fits], ["a", 1.2, :caution], ["a", 1.6, :clash], ["a", 0.6, :caution]]
      none = Core::Floor::Ways.new(from, to, counts: 0)
      expect([none.all.map(&:verdict), none.verdict, none.comfortable_counts]).to eq [%i[clash clash fits], :clash, 8]
    end

    it "sees who passes too near on straight ways, and when" do
      expect(Core::Floor::Ways.new(from, to, counts: 8).near_passes).to eq [["a", "b", 0.0, 0.455]]
      apart = formation("a" => [4.8, 0], "b" => [0, 2], "c" => [0, 5])
      expect(Core::Floor::Ways.new(from, apart, counts: 8).near_passes.map(&:last)).to eq []
    end
  end

  describe "assignment" do
    def cost(from, spots, order)
      from.values.each_with_index
        .map { |here, i| (Math.hypot(spots[order[i]][0] - here[0], spots[order[i]][1] - here[1]) * 1000).round }
        .then { |ways| [ways.max, ways.sum] }
    end

    it "finds what full enumeration finds, with pins and spare spots" do
      each_case(60) do |random|
        size = random.rand(1..6)
        from = (1..size).to_h { |i| ["p#{i}", [random.rand(-5.0..5.0), random.rand(0.0..8.0)]] }
        spots = Array.new(size + random.rand(0..1)) { [random.rand(-5.0..5.0), random.rand(0.0..8.0)] }
        pinned = random.rand < 0.3 ? { "p1" => random.rand(spots.size) } : {}
        orders = (0...spots.size).to_a.permutation(size).select { |order| pinned.empty? || order.first == pinned["p1"] }
        best = Core::Floor::Assignment.new(from, spots, pinned:).best
        expect(cost(from, spots, best.values)).to eq(orders.map { |order| cost(from, spots, order) }.min)
      end
    end

    it "finds it for eight dancers too" do
      each_case(2) do |random|
        from = (1..8).to_h { |i| [i, [random.rand(-5.0..5.0), random.rand(0.0..8.0)]] }
        spots = Array.new(8) { [random.rand(-5.0..5.0), random.rand(0.0..8.0)] }
        best = Core::Floor::Assignment.new(from, spots).best
        expect(cost(from, spots, best.values)).to eq(
          (0...8).to_a.permutation.map { |order| cost(from, spots, order) }.min
        )
      end
    end

    it "prefers many short ways to one long one" do
      from = { "a" => [0, 0], "b" => [1, 0], "c" => [2, 0] }
      expect(Core::Floor::Assignment.new(from, [[1, 0], [2, 0], [3, 0]]).best).to eq("a" => 0, "b" => 1, "c" => 2)
    end

    it "refuses fewer spots than people, and two pins on one spot" do
      expect { Core::Floor::Assignment.new({ "a" => [0, 0] }, []) }.to raise_error(Core::ValueError, /at least 1/)
      expect do
        Core::Floor::Assignment.new({ "a" => [0, 0], "b" => [0, 0] }, [[0, 0], [1, 1]], pinned: { "a" => 0, "b" => 0 })
      end.to raise_error(Core::ValueError, /pinned to one spot/)
    end
  end
end

RSpec.describe Core::Learning::HoleSheet do
  let(:canon) do
    section("s", 8, parts: [Core::Piece::Part.new(group: "g"), Core::Piece::Part.new(group: "h", offset: 4)])
  end
  let(:whole) { work(link(canon), link(section("t", 8)), groups: [%w[g Scouts], %w[h Nurses]]) }
  let(:cast) { { "ada" => ["g"], "bram" => ["g"], "cleo" => ["h"], "dov" => ["g"], "esi" => [] } }
  let(:items) { Core::Learning::Items.new(whole, cast:) }
  let(:spots) do
    { "ada" => -2.4, "bram" => -1.2, "dov" => 0.0, "cleo" => 1.2 }.transform_values do |x|
      Core::Floor::Spot.new(x:, y: 2.0)
    end
  end

  def sheet(out, **facts)
    described_class.new(
      whole,
      out:,
      items:,
      progress: progress_of({ %w[esi ss] => 4 }),
      leaders: { "h" => "cleo" },
      **facts
    )
  end

  it "goes link by link: who is missing, who would close up, who could cover, who lost the leader" do
    place = sheet(%w[bram cleo], formations: { 1 => Core::Floor::Formation.new(spots:) }).places.first
    expect(place.missing).to match_array %w[bram cleo]
    expect(place.moves.map { |person, from, to| [person, from.x, to.x] }).to eq [["ada", -2.4, -1.2]]
    expect([place.covers, place.leaderless]).to eq [[["esi", 4]], [["h", 4]]]
  end

  it "leaves out links that nobody is missing from, and names slots that have lost their point" do
    expect(sheet(["esi"]).places.map { |place| place.placed.index }).to eq [2]
    slots = [[1, %w[bram cleo], ["odalys"]], [2, %w[bram ada], []], [3, ["ada"], ["odalys"]]]
    expect(sheet(%w[bram cleo]).pointless(slots)).to eq [1]
    expect(sheet(%w[odalys]).pointless(slots)).to eq [1, 3]
  end
end
