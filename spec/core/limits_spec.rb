# frozen_string_literal: true

# The least, the most and the first of things outside planning: values, music, learning, the floor.
RSpec.describe Core do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def spot(x, y, **facts) = Core::Floor::Spot.new(x:, y:, **facts)
  def formation(**spots) = Core::Floor::Formation.new(spots: spots.transform_keys(&:to_s))
  def refused = raise_error(Core::ValueError)

  describe "values" do
    it "take a line of 1 to 64 whole counts" do
      expect([1, 64].map { |counts| Core::Piece::Row.new(counts:).counts }).to eq [1, 64]
      [0, 65, 8.0, "8"].each { |counts| expect { Core::Piece::Row.new(counts:) }.to refused }
    end

    it "take a stretch of one count, and no other doing than the known ones" do
      expect(Core::Piece::Part.new(group: "g", stretches: [[3, 3, :holding]]).stretches.size).to eq 1
      [[4, 3, :holding], [1, 2, :dancing]].each do |stretch|
        expect { Core::Piece::Part.new(group: "g", stretches: [stretch]) }.to refused
      end
      expect(
        [
          Core::Piece::Part.new(group: "g", offset: -32).offset,
          Core::Piece::Part.new(group: "g", offset: 3, hold_after: 2).then { |part| [part.length(8), part.moves(8)] }
        ]
      ).to eq [-32, [13, [4, 11]]]
      expect { Core::Piece::Part.new(group: "g", offset: -33) }.to refused
    end

    it "count as learned from the rung that was chosen, any but the first" do
      ladder = Core::Learning::Ladder.new(learned_from: 3)
      expect([ladder.top, [2, 3, 4].map { |rung| ladder.learned?(rung) }]).to eq [5, [false, true, true]]
      expect([1, 5].map { |rung| Core::Learning::Ladder.new(learned_from: rung).learned_from }).to eq [1, 5]
      [0, 6].each do |rung|
        expect { Core::Learning::Ladder.new(learned_from: rung) }.to raise_error(
          Core::ValueError,
          /must be 1 to 5, got #{rung}/
        )
      end
      expect { ladder.index("perfect") }.to raise_error(Core::ValueError, /must be one of not_seen, shown/)
    end

    it "know whether a section is still made in the room" do
      expect(
        [
          typed("a", ""),
          typed("a", "", being_made: true),
          typed("a", "", fidelity: "yours"),
          typed("a", "", fidelity: "loose")
        ].map(&:made_here?)
      ).to eq [false, true, true, false]
    end

    it "change eights where they say: before the first, after one, instead of one, none" do
      rows = %w[one two three].map { |text| Core::Piece::Row.new(counts: 8, text:) }
      more = ->(text) { Core::Piece::Row.new(counts: 4, text:) }
      changes =
        Core::Piece::Changes.new(
          insert_after: {
            0 => [more.call("zero")],
            3 => [more.call("four"), more.call("five")]
          },
          drop: [2],
          replace: { 3 => more.call("drei") }
        )
      expect(changes.apply(rows).map { |danced| [danced.row.text, danced.origin, danced.changed] }).to eq [
        ["zero", nil, true],
        ["one", 1, false],
        ["drei", 3, true],
        ["four", nil, true],
        ["five", nil, true]
      ]
      expect([changes.touched, changes.plain?, Core::Piece::Changes::NONE.plain?]).to eq [[0, 2, 3], false, true]
    end

    it "name a place in the piece by how it is danced: first, again, other side, changed" do
      smoke = typed("Smoke", "1 step R")
      change = Core::Piece::Changes.new(replace: { 1 => Core::Piece::Row.new(counts: 8) })
      links = [
        link(smoke),
        link(smoke),
        link(smoke, mirrored: true),
        link(smoke, id: 4, changes: change, mirrored: true),
        link(smoke)
      ]
      expect(work(*links).order.links.map(&:echo)).to eq %i[first same mirrored altered same]
    end
  end

  describe "music" do
    it "has tempi from 20 to 400, each from its own beat on" do
      map = Core::Music::TempoMap.new([[1, 20], [9, 400]])
      expect([8, 8.9, 9].map { |beat| map.bpm_at(beat) }).to eq [20, 20, 400]
      expect([map.seconds_at(9), map.seconds_at(0), map.beat_at(24.0), map.beat_at(24.15).round(6)]).to eq [
        24.0,
        -3.0,
        9.0,
        10.0
      ]
      [[[1, 19.9]], [[1, 400.1]], [[0, 120]], [[1, 120], [1, 130]]].each do |changes|
        expect { Core::Music::TempoMap.new(changes) }.to refused
      end
    end

    it "takes the middle of the taps' gaps, and those up to a quarter away from it" do
      times = [0, 400, 800, 1300, 1800, 2300, 2925, 3551].each_with_object([]) { |time, all| all << time }
      taps = Core::Music::Taps.new(times)
      expect([taps.kept, taps.dropped, taps.bpm]).to eq [[400, 400, 500, 500, 500, 625], [626], 123.1]
    end

    it "is held against the links with a second's grace, and part by part" do
      piece = lambda do |length, form|
        work(
          link(typed("Smoke", "1 step R")),
          link(typed("Drift", "1 step L")),
          track: Core::Music::Track.new(tempo: [[1, 120]], length_seconds: length, form:)
        )
      end
      found = lambda do |length, form = []|
        Core::Piece::MusicFit.new(piece.call(length, form)).findings
          .map { |each| [each.kind, each.count, each.amount, each.subject].compact }
      end
      expect([9.0, 9.1, 7.0, 6.9].map { |length| found.call(length) }).to eq [
        [],
        [[:music_left, 16, 1.1]],
        [],
        [[:past_end, 16, 1.1]]
      ]
      expect(found.call(nil, [["verse", 8], ["chorus", 8]])).to eq []
      expect([nil, 9.0].map { |length| found.call(length, [["verse", 8], ["chorus", 10]]) }).to eq [
        [[:part_longer, 9, 2, "chorus"]],
        []
      ]
      expect(found.call(nil, [["verse", 6], ["chorus", 10]])).to eq [[:part_shorter, 1, 2, "verse"]]
      expect(found.call(nil, [["verse", 8], ["chorus", 6]])).to eq [[:part_shorter, 9, 2, "chorus"]]
    end
  end

  describe "a hole sheet" do
    let(:piece) do
      work(link(typed("Smoke", "1 step R", parts: [Core::Piece::Part.new(group: "g")])), groups: [%w[g G], %w[h H]])
    end
    let(:items) do
      Core::Learning::Items.new(
        piece,
        cast: {
          "ada" => ["g"],
          "bram" => ["g"],
          "cleo" => ["g"],
          "dov" => ["h"],
          "esi" => ["h"],
          "fern" => ["h"],
          "gil" => ["h"],
          "hal" => ["h"]
        }
      )
    end

    def sheet(out, formations: {}, knows: {})
      Core::Learning::HoleSheet
        .new(
          piece,
          out:,
          items:,
          progress: progress_of(knows.to_h { |who, rung| [[who, "sSmoke"], rung] }),
          formations:
        )
        .places
        .first
    end

    it "offers three who are here, not in the link and know something of it, the furthest first" do
      known = { "bram" => 5, "dov" => 1, "esi" => 4, "fern" => 0, "gil" => 3, "hal" => 2 }
      expect(sheet(%w[ada], knows: known).covers).to eq [["esi", 4], ["gil", 3], ["hal", 2]]
      expect(sheet(%w[ada esi], knows: known).covers).to eq [["gil", 3], ["hal", 2], ["dov", 1]]
    end

    it "closes a row up from outside, on either side of the middle, and leaves other rows alone" do
      stand = ->(x, y = 2.0) { spot(x, y) }
      right =
        sheet(
          %w[ada],
          formations: { 1 => formation(ada: stand.call(1.0), bram: stand.call(2.0), cleo: stand.call(3.0, 4.0)) }
        )
      expect(right.moves.map { |who, from, to| [who, from.x, to.x] }).to eq [["bram", 2.0, 1.0]]
      left =
        sheet(
          %w[ada],
          formations: { 1 => formation(ada: stand.call(-1.0), bram: stand.call(-2.0), cleo: stand.call(-3.0)) }
        )
      expect(left.moves.map { |who, from, to| [who, from.x, to.x] }).to eq [["bram", -2.0, -1.0], ["cleo", -3.0, -2.0]]
      inner =
        sheet(
          %w[ada],
          formations: { 1 => formation(ada: stand.call(2.0), bram: stand.call(1.0), cleo: stand.call(2.0, 2.5)) }
        )
      expect(inner.moves).to eq []
    end
  end

  describe "the floor" do
    it "finds two too tight below the spacing, closest first" do
      close = formation(a: spot(0, 1), b: spot(1.2, 1), c: spot(0, 2.0), d: spot(-1.19, 1))
      expect(close.tight.map { |one, other, _| [one, other] }).to eq [%w[a c], %w[a d]]
      expect(formation(a: spot(0, 1), b: spot(1.194, 1)).tight.size).to eq 1
      expect(formation(a: spot(0, 1), b: spot(1.196, 1)).tight.size).to eq 0
      expect(spot(1, 2).moved(1.234, 5.678)).to eq spot(1.23, 5.68)
    end

    it "lends a repeat the formations of the first of its section, turned over on the other side, and measures " \
       "the way over a join" do
      smoke = typed("Smoke", "1 step R")
      drift = typed("Drift", "1 step L")
      order = work(link(smoke, id: 1), link(drift, id: 2), link(smoke, id: 3, mirrored: true)).order
      stage =
        Core::Floor::Stage.new(
          order,
          {
            1 => {
              [:entry, nil] => formation(a: spot(1, 2)),
              [:exit, nil] => formation(a: spot(4, 6))
            },
            2 => { [:entry, nil] => formation(a: spot(1, 2), b: spot(0, 0)) }
          }
        )
      expect(
        [
          stage.at(1, :entry).own,
          stage.at(3, :entry).own,
          stage.at(3, :entry).formation.spots["a"].x,
          stage.at(2, :exit)
        ]
      ).to eq [true, false, -1, Core::Floor::Stage::NONE]
      expect([stage.moments(3), stage.moments(2), stage.leaving(3).spots["a"].x]).to eq [
        [[:entry, nil], [:exit, nil]],
        [[:entry, nil]],
        -4
      ]
      expect(stage.metres).to eq(1 => 5.0, 2 => Math.hypot(2, 0))
      apart =
        Core::Floor::Stage.new(
          order,
          { 1 => { [:exit, nil] => formation(a: spot(0, 0)) }, 2 => { [:entry, nil] => formation(z: spot(1, 1)) } }
        )
      expect(apart.metres).to eq({})
    end

    it "says from which count a hold is let go too early" do
      leaving =
        typed(
          "Smoke",
          "1 step R",
          parts: [
            Core::Piece::Part.new(group: "g", hold_after: 4),
            Core::Piece::Part.new(group: "h", stretches: [[5, 8, :holding]])
          ]
        )
      entering =
        typed(
          "Drift",
          "1 step L",
          parts: [Core::Piece::Part.new(group: "g", offset: -2), Core::Piece::Part.new(group: "h", offset: -6)]
        )
      found =
        Core::Floor::LineChecks
          .new(work(link(leaving), link(entering), groups: [%w[g G], %w[h H]]))
          .findings
          .select { |each| each.kind == :hold_released }
      expect(found.map { |each| [each.groups, each.from, each.to] }).to eq [[["g"], 11, 12], [["h"], 7, 8]]
    end
  end
end
