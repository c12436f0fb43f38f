# frozen_string_literal: true

# What no piece has is refused where it is made, with the place; what is empty or odd is answered all the same.
RSpec.describe Core do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(
      id:,
      name: facts.delete(:name) || id,
      rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) },
      **facts
    )
  end

  {
    "an eight without counts" => [lambda {
      Core::Piece::Row.new(counts: 0)
    }, "counts: must be a whole number from 1 to 64, got 0"],
    "an eight of half counts" => [lambda {
      Core::Piece::Row.new(counts: 7.5)
    }, "counts: must be a whole number from 1 to 64, got 7.5"],
    "a section without a name" => [-> { Core::Piece::Section.new(id: 1, name: "  ") }, "name: needs a text"],
    "a time nobody counts in" => [lambda {
      Core::Piece::Section.new(id: 1, name: "A", time: "triple")
    }, /\Asection\.time: must be one of normal, half/],
    "an entry before the piece" => [lambda {
      Core::Piece::Part.new(group: "g", offset: -33)
    }, "offset: must be -32 or more, got -33"],
    "a stretch that runs backward" => [lambda {
      Core::Piece::Part.new(group: "g", stretches: [[5, 3, :free]])
    }, /\Astretches: must each be from, to and one of/],
    "a ladder learned below its first rung" => [lambda {
      Core::Learning::Ladder.new(learned_from: 0)
    }, "learned_from: must be 1 to 5, got 0"],
    "a rung there is not" => [lambda {
      Core::Learning::Ladder::DEFAULT.index("perfect")
    }, /\Arung: must be one of not_seen, /],
    "a line of the log that is none" => [lambda {
      Core::Learning::Entry.new(id: 1, kind: "guessed", day: Date.new(2027, 1, 1))
    }, /\Akind: must be one of taught, danced/],
    "two tempi at one count" => [lambda {
      Core::Music::TempoMap.new([[1, 90], [1, 100]])
    }, "tempo: two tempi start at one count"],
    "a tempo before the music" => [lambda {
      Core::Music::TempoMap.new([[0, 90]])
    }, "tempo[0].from_count: must be 1 or more, got 0"],
    "nobody to share among" => [lambda {
      Core::Piece::Sharing.new([], teachers: [], sections: 1)
    }, "teachers: needs at least one"],
    "a pattern nobody knows" => [-> { Core::Floor::Patterns.points("star", 5) }, /\Apattern: must be one of lines, /]
  }.each do |what, (make, message)|
    it("refuses #{what}") { expect(&make).to raise_error(Core::ValueError, message) }
  end

  it "answers of an empty piece what there is to say" do
    empty = work
    expect(
      [
        empty.order.length_seconds,
        empty.order.total_counts,
        empty.order.start_points,
        Core::Piece::Check.new(empty).findings
      ]
    ).to eq [0.0, 0, [], []]
    expect(
      [
        Core::Learning::Items.new(empty).all,
        Core::Joins::Review.new(empty).joins,
        Core::Planning::Schools::AddOn.new(empty, items: Core::Learning::Items.new(empty)).tasks
      ]
    ).to eq [[], [], []]
    expect(
      Core::Planning::Solver
        .new(Core::Planning::Problem.new(windows: [], tasks: [task("t", "run", 10, dancers: ["a"])], dancers: ["a"]))
        .plan
        .unplaced
    ).to eq("t" => 10)
  end

  it "has a place for one dancer, none for nobody, and a share of nobody" do
    expect([0, 1].map { |count| Core::Floor::Patterns.points("circle", count) }).to eq [[], [[0.0, 0.0]]]
    expect(
      [
        Core::Floor::Assignment.new({}, []).best,
        Core::Learning::Progress.new.share([], "s1"),
        Core::Learning::Progress.new.share(["a"], "s1")
      ]
    ).to eq [{}, 1.0, 0.0]
  end

  describe Core::Movement::Reader do
    def read(text, **how) = described_class.new(**how).read(text)

    it "says which eight it cannot find, and keeps what was typed" do
      rows =
        described_class.new.section(
          [
            ["o/s slowly", 8],
            ["1 step R", 8],
            ["repeat 5", 8],
            ["repeat 2-1", 8],
            ["repeat 2 mirrored", 8],
            ["o/s, softly", 8]
          ]
        )
      expect(rows.map { |lines| [lines.first.faults.map(&:kind), lines.first.notes] }).to eq [
        [[:not_found], ["o/s slowly"]],
        [[], []],
        [[:not_found], ["repeat 5"]],
        [[:not_found], ["repeat 2-1"]],
        [[], []],
        [[], ["softly"]]
      ]
      expect(rows[4].first.moves.map(&:text)).to eq ["step L"]
      elsewhere = described_class.new(elsewhere: ->(_, _) { read("1 step R").first })
      expect(elsewhere.read("as Comb eight 3 mirrored").first.moves.map(&:text)).to eq ["step L"]
    end

    it "writes silence, choice, versions, groups, cues and stated ends so that they read the same again" do
      [
        "1 step R 2 -",
        "3-4 L arm wipe (feet whatever)",
        "wheel bk 7 8 (std walk bk R L)",
        "step tch R,L,R,L, Nurses 4 later, all meet 1",
        "1 step R \"bell\"",
        "1 step R, L free, ends facing back",
        "5 step R 6 hold, ends at left"
      ].each do |text|
        line = read(text).first
        again = read(Core::Movement::Writer.new(line).text).first
        shape = lambda do |each|
          [
            each.moves.map(&:meaning),
            each.offsets,
            each.meet,
            each.cues.map(&:first),
            each.exit,
            each.versions.map { |version| version[1] }
          ]
        end
        expect(shape.call(again)).to eq(shape.call(line)), Core::Movement::Writer.new(line).text
      end
    end
  end

  describe Core::Movement::FindingWriter do
    it "says what is odd in a walk, for every reason there is" do
      texts = {
        "1 step R 2 step R" => "The right foot already bears the weight",
        "1 lie down 3 jump" => "This starts standing, but the body is on the floor here.",
        "1 kneel 3 jump" => "the body is on the knees here",
        "1 step R 9 step L" => "This line has no count 9."
      }
      texts.each do |text, sentence|
        found = Core::Movement::Walk.new(Core::Movement::Reader.new.read(text)).findings
        expect(found.map { |finding| described_class.new(say: SAY).text(finding) }.join(" ")).to include(sentence)
      end
    end
  end

  it "keeps the same questions of a mirrored link, said of the other foot" do
    piece =
      work(
        link(typed("Smoke", "1 step R 2 step R 3 turn half left")),
        link(typed("Smoke", "1 step R 2 step R 3 turn half left"), mirrored: true)
      )
    danced = Core::Piece::Danced.new(piece)
    walks = piece.links.map { |each| danced.walk(each) }
    expect(walks.map { |walk| walk.findings.map(&:subject) }).to eq [[:right], [:left]]
    expect(
      [
        walks.last.exit.facing.value,
        walks.last.steps.map { |step| step.move.text }.first(2),
        walks.last.after(1).weight.value
      ]
    ).to eq [5, ["step L", "step L"], :left]
  end

  it "borrows no eight of itself, of what borrows itself, or of what is not there" do
    sections = [
      typed("Comb", "1 step R", "1 jump"),
      typed("Smoke", "as Comb eight 2", "as Smoke eight 1", "as Wind eight 1", "as Drift eight 1", "as Comb eight 9"),
      typed("Drift", "as Comb eight 1")
    ]
    danced = Core::Piece::Danced.new(work(*sections.map { |each| link(each) }))
    lines = danced.lines(sections[1])
    expect(lines.map { |line| [line.moves.map(&:text), line.faults.map(&:kind)] }).to eq [
      [["jump"], []],
      *[[[], [:not_found]]] * 4
    ]
  end

  it "takes a text of several eights apart, each with its own words, or written out" do
    expect(
      ["1 kick L // o/s", "in 6: step R", "1 step R x2", "1 step R\n1 step L", "either/or"].map do |text|
        Core::Movement::TypedEights.of(text)
      end
    ).to eq [
      [[8, "1 kick L"], [8, "o/s"]],
      [[6, "step R"]],
      [[8, "1 step R x2"]],
      [[8, "1 step R"], [8, "1 step L"]],
      [[8, "either/or"]]
    ]
    expect(Core::Movement::TypedEights.of("step tch R,L,R,L x2")).to eq [
      [8, "1-2 step-touch R 3-4 step-touch L 5-6 step-touch R 7-8 step-touch L"]
    ] * 2
  end

  it "says where the music's form and the links do not end together" do
    track = Core::Music::Track.new(tempo: [[1, 120]], form: [["verse", 16], ["chorus", 8], ["outro", 8]])
    found = lambda do |*links|
      Core::Piece::MusicFit.new(work(*links, track:)).findings.map { |each| [each.kind, each.subject, each.amount] }
    end
    eight = link(typed("A", ""))
    expect(found.call(eight, link(typed("B", "", "")), eight)).to include([:part_shorter, "verse", 8])
    expect(found.call(link(typed("B", "", "")), eight, eight)).to eq []
  end
end
