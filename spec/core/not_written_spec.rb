# frozen_string_literal: true

# Nothing is claimed of what nobody wrote: joins of sections that are empty, hold a remark or a name, or are written in
# part; eights that only point back.
RSpec.describe Core::Joins::Review do
  def steps = "1 step R 2 step L 3 step R 4 touch L 5 step L 6 step R 7 step L 8 touch R"

  def typed(id, *texts, **facts)
    rows = texts.map { |text| text.is_a?(Hash) ? Core::Piece::Row.new(counts: 8, **text) : row(text) }
    Core::Piece::Section.new(id:, name: id, rows:, **facts)
  end

  def row(text) = Core::Piece::Row.new(counts: 8, text:)

  def verdict(leaving, entering, **facts)
    described_class.new(work(link(leaving), link(entering), **facts)).joins.first.verdict
  end

  empty = {
    "an empty one" => [""], "one without eights" => [], "a remark" => ["(watch the spacing)"],
    "only a name" => [{ text: "", name: "the wave" }], "only a cue" => [{ text: "", cue: "“now”" }]
  }
  empty.each do |what, texts|
    it "compares nothing with #{what}, on either side" do
      written = typed("Smoke", steps)
      [[typed("Drift", *texts), written], [written, typed("Drift", *texts)]].each do |leaving, entering|
        expect(verdict(leaving, entering)).to eq :not_written
      end
    end
  end

  it "compares what is known already and has no eights with nothing" do
    expect(verdict(typed("Smoke", steps), typed("Drift", known: true))).to eq :not_written
  end

  it "says how far a section is written, and asks nothing of its open end before it is" do
    part = typed("Drift", steps, steps, steps, "", "", "")
    expect([part.written, part.written?, typed("Smoke", steps).written?, typed("Comb", "").written]).to eq [
      3, false, true, 0
    ]
    expect(verdict(part, typed("Smoke", steps))).to eq :not_written
    expect(verdict(typed("Smoke", steps), part)).not_to eq :not_written
  end

  it "says nothing of a side that says nothing, not even what everybody begins with" do
    held = described_class.new(work(link(typed("Drift", steps, "")), link(typed("Smoke", steps)))).joins.first
    sources = held.findings.map { |finding| [finding.leaving.value, finding.leaving.source] }
    expect(sources.uniq).to eq [[nil, :not_stated]]
    expect(held.findings.find { |finding| finding.state == :weight }.entering.value).to eq :left
  end

  it "compares what somebody stated of an edge, though no words lead there" do
    stated = typed("Drift", "", exit: { weight: :right, facing: 1, level: :standing })
    expect(verdict(stated, typed("Smoke", steps))).to eq :clash
  end

  it "still says where the tempo changes, or groups are cut off" do
    empty = typed("Drift", "", time: "half")
    expect(verdict(empty, typed("Smoke", steps))).not_to eq :fits
    expect(described_class.new(work(link(empty), link(typed("Smoke", steps)))).joins.first.open.map(&:state))
      .to all(eq(:tempo))
  end

  it "of a piece whose steps are not written it says nothing, and counts a join as rehearsed or agreed" do
    checking = Core::Piece::Checking.new(steps: false)
    piece = work(link(typed("Smoke", steps)), link(typed("Drift", "1 step R 2 step L")), checking:)
    held = described_class.new(piece).joins.first
    expect([held.verdict, held.open]).to eq [:not_written, []]
    stands = [nil, 0.2, 0.9].map { |share| Core::Joins::Standing.new(held, share:, steps: false).state }
    expect(stands).to eq %i[apart apart joined]
  end

  it "never fits and never asks where one side says nothing, whatever the other one says" do
    lines = JSON.parse(File.read(File.expand_path("../corpus/everyday.json", __dir__))).map { |each| each["text"] }
    each_case(80) do |random|
      pair = [typed("Smoke", lines.sample(random:)), typed("Drift", ["", "(slow)"].sample(random:))]
      pair.reverse! if random.rand < 0.5
      findings = described_class.new(work(*pair.map { |section| link(section) })).joins.first.findings
      expect(findings.map(&:verdict) & %i[fits question]).to eq []
    end
  end

  back = ["again", "same thing other way", "again on the other side", "same again", "Repeat!", "do that again",
          "once more", "and again, mirrored", "other way", "same as before", "repeat, opposite side"]
  back.each do |text|
    it "supposes what an eight is that only points back: #{text}" do
      lines = Core::Movement::Reader.new.section([[steps, 8], [text, 8]]).flatten
      body = Core::Movement::Walk.new(lines).exit
      expect([body.weight, body.level].map { |known| known.source == :supposed || known.value == :standing })
        .to eq [true, true]
      expect(body.weight.sure?).to be false
      expect(lines.last.moves.map(&:text)).to eq [text]
    end
  end
end
