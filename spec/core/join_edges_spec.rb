# frozen_string_literal: true

require "open3"

# What an agreement remembers of a join, the opening and the ending, and how a mend types into an eight.
RSpec.describe Core::Joins::Agreement do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def seam(first, second, **side)
    Core::Joins::Seam.of(
      Core::Joins::Sequence.new((piece = work(link(first, **side), link(second))).order).joins.first,
      Core::Piece::Danced.new(piece)
    )
  end

  let(:smoke) { typed("Smoke", "1 step R 2 step L", "1 step R 8 hold") }
  let(:drift) { typed("Drift", "1 step L", "1 kick R") }
  let(:agreed) { described_class.of(seam(smoke, drift)) }

  def changed(first, second, **side) = agreed.changed(seam(first, second, **side))

  def at_the_end(text) = smoke.with(rows: [smoke.rows[0], smoke.rows[1].with(text:)])

  it "stays when spaces and capitals change, or eights that are not at the edge, or what the section is called" do
    expect(changed(at_the_end("1  Step R 8 HOLD"), drift)).to eq []
    expect(changed(smoke, drift.with(rows: [drift.rows[0], drift.rows[1].with(text: "1 jump 2 clap")]))).to eq []
    expect(changed(smoke.with(name: "Fog", difficulty: 1.3), drift)).to eq []
  end

  it "does not move when the reader learns a word that is danced at the edge" do
    smoke_with = at_the_end("1 step R 8 weathervane")
    before = described_class.of(seam(smoke_with, drift))
    known = Core::Movement::Vocabulary.new(own: [Core::Movement::Step.new(name: "weathervane", weights: [:left])])
    piece = work(link(smoke_with), link(drift))
    learned = Core::Joins::Seam.of(
      Core::Joins::Sequence.new(piece.order).joins.first,
      Core::Piece::Danced.new(piece, vocabulary: known)
    )
    aggregate_failures do
      expect(learned.leaving.body.weight).not_to eq seam(smoke_with, drift).leaving.body.weight
      expect(before.changed(learned)).to eq []
    end
  end

  it "holds what an eight points to: the one before it on the other side, an eight of another section" do
    pointing = at_the_end("o/s")
    before = described_class.of(seam(pointing, drift))
    earlier = pointing.with(rows: [pointing.rows[0].with(text: "1 kick R"), pointing.rows[1]])
    expect(before.changed(seam(earlier, drift))).to eq [:leaving]

    borrowing = at_the_end("as Drift eight 2")
    before = described_class.of(seam(borrowing, drift))
    expect(before.changed(seam(borrowing, drift.with(rows: [drift.rows[0], drift.rows[1].with(text: "1 jump")])))).to(
      eq [:leaving]
    )
  end

  it "says which edge changed: its steps, its body, its counts, its side, its groups" do
    {
      [smoke.with(rows: [smoke.rows[0], smoke.rows[1].with(text: "1 step R 7 hold")]), drift] => [:leaving],
      [smoke, drift.with(rows: [drift.rows[0].with(text: "1 step R"), drift.rows[1]])] => [:entering],
      [smoke.with(exit: { facing: 3 }), drift.with(entry: { facing: 3 })] => %i[leaving entering],
      [smoke.with(rows: [smoke.rows[0], smoke.rows[1].with(counts: 9)]), drift] => [:leaving],
      [smoke, drift.with(parts: [Core::Piece::Part.new(group: "g", offset: 2)])] => [:entering]
    }.each { |(first, second), edges| expect(changed(first, second)).to eq edges }
    expect(changed(smoke, drift, mirrored: true)).to eq [:leaving]
  end

  it "is the same digest whatever the locale of the process, and no two edges are written the same" do
    program = <<~RUBY
      require "#{HOUSE}/core/core"
      row = Core::Piece::Row.new(counts: 8, text: "1 pass\\u00e9 R 3 step L")
      section = Core::Piece::Section.new(id: "s", name: "S", choreographer: "m", rows: [row])
      links = [Core::Piece::Link.new(section:, id: "1"), Core::Piece::Link.new(section:, id: "2")]
      seam = Core::Joins::Review.new(Core::Piece::Work.new(title: "T", sections: [section], links:)).joins.first.seam
      print Core::Joins::Agreement.of(seam).leaving
    RUBY
    digests = %w[C C.UTF-8].map do |locale|
      bare = { "RUBYOPT" => nil, "RUBYLIB" => nil, "LC_ALL" => locale, "LANG" => locale }
      Open3.capture2(bare, "ruby", "--disable-gems", "-e", program).first
    end
    expect(digests.uniq).to match [/\A3:\h{24}\z/]
    written = [["ab", "c"], ["a", "bc"], ["a", %w[b c]], ["ab(c"], %w[1:a b]]
    expect(written.map { |edge| described_class.send(:plain, edge) }.uniq.size).to eq written.size
  end
end

RSpec.describe Core::Joins::Ends do
  def piece(*texts, **facts)
    work(
      link(
        Core::Piece::Section.new(
          id: 1,
          name: "Overwinter",
          rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) },
          **facts
        )
      )
    )
  end

  def open_findings(found) = found.reject(&:fits?).map { |finding| [finding.state, finding.verdict] }

  it "holds the opening's pose against the first entry" do
    ends =
      described_class.new(
        piece("1 step R 2 step L", entry: { facing: 1 }),
        opening: {
          weight: :right,
          facing: 5,
          level: :floor
        }
      )
    expect(open_findings(ends.opening)).to eq [%i[weight clash], %i[facing clash], %i[level clash]]
    expect(ends.opening.flat_map(&:mends).map(&:link).uniq).to eq [1]
    waiting =
      described_class.new(piece("5 step R", entry: { facing: 1 }), opening: { weight: :left, facing: 5, level: :floor })
    expect(open_findings(waiting.opening)).to eq []
  end

  it "holds the last exit against the final picture, and says nothing of what nobody wrote" do
    ends = described_class.new(piece("1 step R 7-8 turn half right"), ending: { facing: 1 })
    expect(open_findings(ends.ending)).to eq [%i[facing clash]]
    expect(ends.ending.find(&:clash?).mends.map { |mend| [mend.change, mend.link] }).to include([:turn, 1])
    expect(
      [described_class.new(piece("1 step R")).opening, described_class.new(work, ending: { facing: 1 }).ending]
    ).to eq [[], []]
  end
end

RSpec.describe Core::Joins::Amend do
  def amend(text, counts: 8, mirrored: false)
    section = Core::Piece::Section.new(id: 1, name: "A", rows: [Core::Piece::Row.new(counts:, text:)])
    after = Core::Piece::Section.new(id: 2, name: "B", rows: [Core::Piece::Row.new(counts: 8, text: "1 step R")])
    piece = work(link(section, mirrored:), link(after))
    @side = Core::Joins::Side.leaving(piece.order.links.first, Core::Piece::Danced.new(piece))
    described_class.new(@side)
  end

  {
    ["1 step R", "close L", 84] => "1 step R 8 close L",
    ["step R 1", "close L", 84] => "step R 1, close L 8",
    ["1 step R 8 arms fold", "close L", 90] => "1 step R 8 arms fold & close L",
    ["5 6 wait 7 step R 8 kick L 1 step L", "close R", 84] => "5 6 wait 7 step R 8 kick L 1 step L 4 close R",
    ["1 step R, R free", "kneel", 72] => "1 step R, R free 7 kneel"
  }.each do |(text, words, at), wanted|
    it "types #{words.inspect} into #{text.inspect}" do
      expect(amend(text).add(words, at).text).to eq wanted
    end
  end

  it "says the other side where the link is danced on it" do
    draft = amend("1 step R", mirrored: true).add("close R", 84)
    expect([draft.text, draft.line.moves.map(&:side)]).to eq ["1 step R 8 close L", %i[left right]]
  end

  it "writes an eight out that was taken from elsewhere, keeps notes and cues, and gives up where no words would do" do
    expect(
      amend("1 step R (softly) \"bell\"").replace(@side.line.moves.first, "touch R").text
    ).to eq '1 touch R (softly) "bell"'
    expect(amend("1 step R 8 step L").remove(@side.line.moves.last).text).to eq "1 step R"
    expect(amend("1 step R, L free").state(weight: :left).text).to eq "1 step R, R free"
    expect(amend("1 step R").add("zumble the wasp", 84)).to be_nil
    expect(amend("x" * 1000).add("close L", 84)).to be_nil
  end
end

RSpec.describe Core::Floor::Stage do
  let(:comb) { section("c", 8) }
  let(:piece) { work(link(comb, id: 11), link(section("d", 8), id: 12), link(comb, id: 13, mirrored: true)) }

  def stand(x) = Core::Floor::Formation.new(spots: { "ada" => Core::Floor::Spot.new(x:, y: 1.0, facing: 3) })

  it "lends a repeat the formations of its section's first link, turned over on the other side, until it has its own" do
    stage = described_class.new(piece.order, { 11 => { [:entry, nil] => stand(2.0), [:count, 5] => stand(3.0) } })
    borrowed = stage.at(3, :entry)
    expect([borrowed.own, borrowed.formation.spots["ada"].x, borrowed.formation.spots["ada"].facing]).to eq [
      false,
      -2.0,
      7
    ]
    expect([stage.moments(3), stage.leaving(3).spots["ada"].x, stage.at(2, :entry).formation.empty?]).to eq [
      [[:entry, nil], [:count, 5]],
      -3.0,
      true
    ]
    own =
      described_class.new(piece.order, { 11 => { [:entry, nil] => stand(2.0) }, 13 => { [:entry, nil] => stand(1.0) } })
    expect([own.at(3, :entry).own, own.at(3, :entry).formation.spots["ada"].x]).to eq [true, 1.0]
  end

  it "measures the longest way over every join whose both sides are known" do
    stage =
      described_class.new(
        piece.order,
        { 11 => { [:entry, nil] => stand(2.0), [:exit, nil] => stand(-1.0) }, 12 => { [:entry, nil] => stand(2.5) } }
      )
    expect(stage.metres).to eq(1 => 3.5, 2 => 4.5)
  end
end
