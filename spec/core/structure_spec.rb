# frozen_string_literal: true

RSpec.describe Core::Piece::StructureReader do
  def read(text, **known) = described_class.new(text, **known).structure

  it "reads sections, repeats, other side and changes, and derives the totals" do
    structure =
      read(
        "1. Overwinter, 6 eights, Odalys\nWaggle Line, 5 eights + 4, Mirela\nWaggle Line again, other " \
        "side\nWaggle Line; again; with changes in 2, 4-5",
        teachers: ["Odalys Venn", "Mirela Dusk"]
      )
    expect(structure.sections.map { |s| [s.name, s.rows.sum, s.teacher] }).to eq [
      ["Overwinter", 48, "Odalys Venn"],
      ["Waggle Line", 44, "Mirela Dusk"]
    ]
    expect(structure.links.map { |l| [l.section, l.mirrored, l.changed] }).to eq [
      [0, false, []],
      [1, false, []],
      [1, true, []],
      [1, false, [2, 4, 5]]
    ]
    expect([structure.total_counts, structure.new_counts]).to eq [180, 92]
    expect(structure.findings).to be_empty
  end

  {
    "a repeat of something unknown, with the likely name" => [
      "Smoke, 2 eights\nSmoek again",
      [2, :unknown_repeat, "Smoek", "Smoke"]
    ],
    "two teachers for one section" => [
      "Smoke, 2 eights, Ann\nSmoke again, Bo", [2, :two_teachers, "Smoke", "Ann"]
    ],
    "an eight that is not there" => ["Smoke, 2 eights\nSmoke again, with changes in 3", [2, :no_such_eight, 3, 2]],
    "a line without a length" => ["Fog, 1 eight\nBridge", [2, :no_length, "Bridge", nil]],
    "a name that is too long" => ["#{'x' * 61}, 2 eights", [1, :long_name, 60, nil]]
  }.each do |what, (text, finding)|
    it "names #{what}" do
      found = read(text, teachers: %w[Ann Bo]).findings.map { |f| [f.line, f.kind, f.subject, f.hint] }
      expect(found).to include(finding)
    end
  end

  def waiting(text, **known)
    structure = read(text, **known)
    structure.findings.select { |f| structure.waiting.map(&:first).include?(f.line) }
      .map { |f| [f.kind, f.ways.select { |way| way.kind == :typed }.map(&:label)] }
  end

  describe "a line that is not understood waits, and nothing is made of it" do
    {
      "a number that may be counts or eights" => [
        "Pebbles, 4", [:bare_length, ["Pebbles, 4 eights", "Pebbles, 4 counts"]]
      ],
      "talk" => ["Smoke, 2 eights\nboth of us", [:talk, []]],
      "a repeat of another length" => [
        "Smoke, 4 eights\nSmoke again, 2 eights",
        [:other_length, ["Smoke, again, only the first 2 eights", "Smoke 2, 2 eights", "Smoke, again"]]
      ],
      "a repeat that is shorter, nobody says by how much" => [
        "Smoke, 4 eights\nSmoke again but shorter",
        [:how_much, ["Smoke, again, only the first half", "Smoke, again, only the last half", "Smoke, again"]]
      ],
      "one of several, and not which" => ["Smoke, 1 eight\nSmoke\ndrop smoke", [:which_link, []]]
    }.each do |what, (text, found)|
      it "#{what}: #{text.lines.last}" do
        expect(waiting(text)).to eq [found]
        expect(read(text).links.map(&:line)).not_to include(text.lines.size)
      end
    end

    it "takes the others at once, and every answer is a line that is understood" do
      text = "Smoke, 2 eights, Odalys\nPebbles, 4\nSmoke again"
      expect(read(text).links.map(&:line)).to eq [1, 3]
      expect(waiting(text).first.last.map { |way| read("#{text}\n#{way}").sections.last.rows.sum }).to eq [32, 4]
      asked = read("Smoke, 2 eights\nsomething with the lamps").findings.last
      answers = asked.ways.to_h { |way| [way.kind, read("Smoke, 2 eights\n#{way.lines.values.first}")] }
      expect(answers.keys).to eq %i[section repeat remark]
      expect(answers.transform_values { |each| [each.links.size, each.waiting, each.remarks.size] }).to eq(
        section: [2, [], 0], repeat: [2, [], 0], remark: [1, [], 1]
      )
    end

    it "tells two teachers from one who is called so, and asks which is meant by half of that name" do
      staff = { teachers: %w[Jo Mel Ann] }
      pair = read("Smoke, 2 eights, Jo & Mel\nDrift, 2 eights, Jo\nFog, 1 eight, Mel with Ann helping", **staff)
      expect(pair.sections.map { |each| [each.teacher, each.others] }).to eq [
        ["Jo", ["Mel"]], ["Jo", []], ["Mel", ["Ann"]]
      ]
      known = { teachers: ["Jo & Mel"] }
      expect(read("Smoke, 2 eights, Jo & Mel", **known).sections.first.teacher).to eq "Jo & Mel"
      expect(waiting("Smoke, 4 eights, Jo", **known)).to eq [
        [:half_a_pair, ["Smoke, 4 eights, Jo & Mel", "Smoke, 4 eights, Jo alone"]]
      ]
      expect(read("Smoke, 4 eights, Jo alone", **known).sections.first.strangers).to eq ["Jo"]
    end

    it "matches known people by first names and small slips, and makes nobody of the others" do
      found = read("Smoke, 2 eights, odalys\nDrift, 1 eight, Mirella\nFog, 1 eight, Kit\nHush, 1 eight, slow motion",
                   teachers: ["Odalys Venn", "Mirela Dusk"])
      expect(found.sections.map { |each| [each.teacher, each.strangers] }).to eq [
        ["Odalys Venn", []], ["Mirela Dusk", []], [nil, ["Kit"]], [nil, []]
      ]
      expect(found.sections.last.notes).to eq ["slow motion"]
    end

    it "asks once how many counts a bar has, and every line has its answer" do
      text = "Intro, 4 bars, Ria\nTheme, 16 bars, Joost\nTheme again"
      asked = read(text).findings.select { |found| found.ways.any? }
      expect([asked.size, read(text).total_counts]).to eq [1, nil]
      lines = text.lines.map(&:chomp)
      asked.first.ways.find { |way| way.label == "3" }.lines.each { |number, said| lines[number - 1] = said }
      expect(read(lines.join("\n")).total_counts).to eq 12 + 48 + 48
    end

    it "checks what a row of totals claims, and takes title, tempo and day from the list" do
      found = read("Paper Boats\n120 bpm, show on 14 March\nSmoke, 2 eights\nTotal 30 counts")
      expect(found.facts).to eq({ title: "Paper Boats", bpm: 120, date: "14 March" })
      expect(found.findings.map { |f| [f.line, f.kind, f.subject, f.hint] }).to eq [[4, :total_differs, 30, 16]]
    end

    it "makes nothing of a line of which one clause waits, and keeps who takes a repeat as words" do
      two = read("Smoke, 2 eights\nDrift 1 eight, then Smoke again but shorter")
      expect([two.sections.map(&:name), two.links.map(&:line), two.waiting.map(&:first)]).to eq [["Smoke"], [1], [2]]
      taken = read("Smoke, 2 eights, Ann\nSmoke again, Bo takes it this time", teachers: %w[Ann Bo])
      expect([taken.links.last.teachers, taken.sections.first.teacher]).to eq [["Bo"], "Ann"]
      expect(taken.sections.first.notes).to eq ["Smoke again, Bo takes it this time"]
    end

    it "holds a total only against lengths that are all known, of what is danced" do
      differs = ->(text) { read(text).findings.map(&:kind).include?(:total_differs) }
      part = "Smoke, 4 eights\ntag: only the last eight of smoke\nTotal 40 counts"
      expect([part, part.sub("40", "64"), "Smoke, maybe 2\nFog, 1 eight\nTotal 24"].map(&differs)).to eq [
        false, true, false
      ]
    end

    it "understands what is clear: then, a known length, a section that is known" do
      expect(waiting("Harbour, 2 eights\nthen Harbour again")).to be_empty
      expect(read("Harbour, 2 eights\nthen Harbour again").links.size).to eq 2
      expect(waiting("Harbour, 2", lengths: { "Harbour" => [8, 8] })).to be_empty
    end
  end

  it "says where a paste of ten thousand lines was cut, and stays quick" do
    structure = read(Array.new(10_000) { |i| "Part #{i}, 2 eights" }.join("\n"))
    expect(structure.links.size).to eq 300
    expect(structure.findings.map { |f| [f.line, f.kind] }).to include([301, :too_many_lines])
  end

  it "reads back what the writer wrote, whatever the piece" do
    each_case(60) do |random|
      @seen = {}
      sections =
        Array.new(random.rand(1..6)) do |i|
          section(
            i,
            *Array.new(random.rand(1..7)) { [8, 8, 8, 4, 6, 10, 9].sample(random:) },
            name: "Part #{(65 + i).chr}"
          )
        end
      links = Array.new(random.rand(1..9)) { written(sections.sample(random:), random) }
      piece = work(*links, sections:)
      structure = read(Core::Piece::StructureWriter.new(piece).text)
      by_name = structure.sections.to_h { |s| [s.name, s.rows] }
      expect(by_name).to eq(sections.to_h { |s| [s.name, s.rows.map(&:counts)] })
      expect(structure.links.map { |l| [structure.sections[l.section].name, l.mirrored, l.called, l.only] }).to eq(
        links.map { |l| [l.section.name, l.mirrored, l.called, l.only] }
      )
    end
  end

  # A link as it may come: on the other side, only a stretch of it, under a name of its own.
  def written(section, random)
    seen = @seen.key?(section)
    @seen[section] = true
    size = section.rows.size
    dropped = seen && size > 1 && random.rand < 0.3 ? [*1..random.rand(1...size)] : []
    changes = Core::Piece::Changes.new(drop: dropped)
    link(section, mirrored: random.rand < 0.3, changes:, called: seen && random.rand < 0.2 ? "Turn #{@seen.size}" : "")
  end

  it "never fails, whatever is typed" do
    each_case(200) do |random|
      line =
        Array
          .new(random.rand(0..40)) do
            ["Smoke", ",", "6", "eights", "+", "again", "—", "é", "-", ";", "0", "999999", "\t", "tag 4",
             " "].sample(random:)
          end
          .join
      expect { read("Smoke, 4 eights\n#{line}") }.not_to raise_error
    end
  end
end

RSpec.describe Core::Piece::LengthText do
  {
    "6 eights" => [8] * 6,
    "5 eights + 4" => ([8] * 5) + [4],
    "3 sixes" => [6] * 3,
    "6x8" => [8] * 6,
    "42 counts" => ([8] * 5) + [2],
    "7" => [8] * 7,
    "2 eights and tag 4 + 1" => [8, 8, 4, 1],
    "1 ten" => [10],
    "soon" => nil,
    "" => nil,
    "4 eights + x" => nil
  }.each do |text, counts|
    it("reads #{text.inspect}") { expect(described_class.parse(text)).to eq counts }
  end
end
