# frozen_string_literal: true

RSpec.describe Core::Piece::Checking do
  def typed(id, text)
    Core::Piece::Section.new(id:, name: id, rows: [Core::Piece::Row.new(counts: 8, text:)])
  end

  def held(leaving, entering, **chosen)
    piece = work(link(typed("Smoke", leaving)), link(typed("Drift", entering)))
    Core::Joins::Review.new(piece.with(checking: described_class.new(**chosen))).joins.first
  end

  it "leaves out what a piece does not ask for, and nothing else" do
    clash = ["1 step R 8 lie down", "1 step R"]
    expect(held(*clash).open.map(&:state)).to eq %i[level]
    expect(held(*clash, states: %i[facing]).verdict).to eq :fits
    expect(held("1 step L 8 step R", "1 step R", states: %i[level facing]).verdict).to eq :fits
    over = held("1 step R 5 reach over 6", "1 step L", states: [])
    expect(over.open.map(&:state)).to eq %i[counts]
  end

  it "takes words for harmless to the feet where a piece says so, never to the level, and says what it hangs on" do
    unsure = ["1 step R 2 step L 3 weathervane", "1 step R, arms up"]
    weight = ->(found) { found.findings.find { |finding| finding.state == :weight } }
    expect(weight[held(*unsure)].verdict).to eq :question
    steady = held(*unsure, steady: true)
    expect([weight[steady].verdict, weight[steady].facts[:if_words]]).to eq [:fits, "weathervane"]
    expect(steady.open.map(&:state)).to eq %i[level]
    settled = held("1 step R 2 weathervane 3 step L", "1 step R", steady: true)
    expect(weight[settled].facts[:if_words]).to be_nil
  end
end

RSpec.describe Core::Joins::Versions do
  def typed(id, *texts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) })
  end

  def seated(eights) = { "seated" => Core::Piece::Version.new(kind: "seated", eights:) }

  def standings(piece, versions, dancers)
    described_class.new(piece, versions:, dancers:).of(Core::Joins::Sequence.new(piece.order).joins.first)
  end

  let(:piece) { work(link(typed("Smoke", "1 step L 8 step R")), link(typed("Drift", "1 step R 2 step L"))) }
  let(:both) { { "Smoke" => seated(1 => "1-8 arms open"), "Drift" => seated(1 => "1-2 clap lap") } }

  it "is judged by what is danced: who sits needs no foot, though the standing line clashes" do
    found = standings(piece, both, "wren" => { nil => "seated" }, "ada" => { "Smoke" => "smaller" })
    expect(found.map { |each| [each.kinds, each.people, each.verdict] }).to eq [[%w[seated seated], ["wren"], :fits]]
    expect(Core::Joins::Review.new(piece).joins.first.verdict).to eq :clash
  end

  it "is not known where nobody has written a line for whoever sits, and nobody gets up because of an arm" do
    found = standings(piece, both.slice("Smoke"), "wren" => { nil => "seated" }).first
    expect([found.verdict, found.missing.name]).to eq [:question, "Drift"]
    from_chair = standings(piece, both.slice("Smoke"), "wren" => { "Smoke" => "seated" }).first
    expect([from_chair.kinds, from_chair.verdict, from_chair.open.map(&:state)]).to eq [
      %w[seated taught], :clash, [:level]
    ]
  end
end

RSpec.describe Core::Piece::Danced do
  it "reads what to take care of from the steps, beside what was ticked, and nothing from arms or unknown words" do
    rows = ["1 jump 3 kneel", "roll the shoulders, arms drop, weathervane"].map do |text|
      Core::Piece::Row.new(counts: 8, text:)
    end
    section = Core::Piece::Section.new(id: 1, name: "S", rows:, hazards: %w[lift])
    danced = described_class.new(work(link(section)))
    expect([danced.hazards(section), danced.all_hazards]).to eq [%w[lift jump knee_drop], %w[lift jump knee_drop]]
  end
end

RSpec.describe Core::Piece::Partial do
  def typed(*texts)
    rows = texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }
    Core::Piece::Section.new(id: "s", name: "S", rows:)
  end

  it "begins an eight as it was taught, and goes on with the new words from the count that is said" do
    section = typed("1 step R 2 step L 5 kick R 7 jump")
    row = Core::Piece::Row.new(counts: 8, text: "from 5 step R 6 touch L")
    changed = link(section, id: 2, changes: Core::Piece::Changes.new(replace: { 1 => row }))
    danced = Core::Piece::Danced.new(work(link(section, id: 1), changed))
    expect(danced.plain_lines(changed).first.moves.map { |move| [move.count, move.text] }).to eq [
      [1, "step R"], [2, "step L"], [5, "step R"], [6, "touch L"]
    ]
    expect(danced.forks.map { |fork| [fork.row, fork.count] }).to eq [[1, 5.0]]
    texts = ["from 7: jump", "from count 3 clap", "step R from 7", "from 5 to 8 hold"]
    expect(texts.map { |text| described_class.from(text) }).to eq [7, 3, nil, nil]
  end
end
