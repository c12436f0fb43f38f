# frozen_string_literal: true

require "json_schemer"

RSpec.describe Core::Movement do
  let(:vocabulary) { Core::Movement::Vocabulary::DEFAULT }

  def read(text, counts: 8, feel: :even) = Core::Movement::Reader.new(feel:).read(text, counts:)

  describe "worked walks" do
    JSON.parse(File.read(File.expand_path("../corpus/walks.json", __dir__), encoding: "UTF-8")).each do |walk|
      it walk["name"] do
        lines = read(walk["text"], counts: walk["counts"], feel: walk["feel"].to_sym)
        walked = Core::Movement::Walk.new(lines)
        ending = walked.exit
        expect([ending.weight.value&.to_s, ending.facing.value, ending.level.value.to_s]).to eq walk["exit"]
        expect(walked.entry.weight.value&.to_s).to eq(walk["entry"]), "entry"
        expect(walked.findings.map { |f| [f.row, f.count.to_i, f.kind.to_s] }).to eq walk["findings"]
      end
    end
  end

  describe "lines typed in a hurry" do
    it "keeps counts, called numbers and silence" do
      line = read("5 6 wait 7 step R 8& ball ch L R 1 kick L 2 - pdb 3&4").first
      expect(line.moves.map { |m| [m.count, m.step || m.kind.to_s, m.places] }).to eq [
        [1, "hold", []],
        [3, "step", [24]],
        [4, "ball-change", [36, 42]],
        [5, "kick", []],
        [6, "silent", []],
        [7, "pas de bourrée", [72, 78, 84]]
      ]
      expect(line.called).to eq 5
    end

    it "leaves feet to the dancer, keeps the rest as a note, and reads triplets, versions and groups" do
      expect(read("3 4 L arm wipe (feet whatever)").first.moves.first.choice).to eq [:weight]
      waltz = read("in 6: bal R, bal L / L ft turn 1 2 a3, dip 4-6, dont rush", feel: :triplet)
      expect([waltz.map(&:counts), waltz.last.notes, waltz.last.moves.map(&:count)]).to eq [
        [6, 6],
        ["dont rush"],
        [1, 4]
      ]
      expect(read("wheel bk 7 8 (std walk bk R L)").first.versions).to eq [["standing", "walk bk R L", 72, 24]]
      groups = read("step tch R,L,R,L x2 (2nd x no last tch - hold), Nurses 4 later, all meet 1")
      expect([groups.size, groups.first.offsets, groups.last.meet]).to eq [2, { "Nurses" => 4 }, 1]
      fork = Core::Movement::Fork.between([groups[0]], [groups[1]], section: 1, links: [1, 2])
      expect([fork.row, fork.count]).to eq [1, 7]
    end

    it "never spreads moves by guess" do
      moves = read("1 step R kick L clap").first.moves
      expect(moves.map(&:count)).to eq [1.0, nil, nil]
      expect(read("reach somewhere slowly").first.moves.map(&:at)).to eq [nil]
    end

    it "takes eights from elsewhere, on either side" do
      reader =
        Core::Movement::Reader.new(
          elsewhere: ->(name, number) { read("1 step R").first if [name, number] == ["Comb", 3] }
        )
      rows =
        reader.section(
          [
            ["1 step R 2 touch L", 8],
            ["1 step L 2 touch R", 8],
            ["repeat 1-2 mirrored", 8],
            ["as Comb eight 3", 8],
            ["as Comb eight 9", 8],
            ["o/s", 8]
          ]
        )
      expect(rows.map { |lines| lines.flat_map(&:moves).map(&:text) }).to eq [
        ["step R", "touch L"],
        ["step L", "touch R"],
        ["step L", "touch R", "step R", "touch L"],
        ["step R"],
        [],
        []
      ]
      expect(rows[4].first.faults.map(&:kind)).to eq [:not_found]
    end
  end

  describe "hands, place and travel" do
    def ending(*texts) = Core::Movement::Walk.new(texts.flat_map { |text| read(text) }).exit

    it "carries what was picked up until it is put down" do
      held = ["1 pick up grey cloth 3 step R", "1-8 hold", "4 put the cloth down 5 put down cloth"]
      expect(held.each_index.map { |i| ending(*held.first(i + 1)).hands.value }).to eq ["grey cloth", "grey cloth", ""]
      expect(
        [
          ending("1 take hands").hands.value,
          ending("1 take hands 5 let go").hands.value,
          ending("1 step R").hands.source
        ]
      ).to eq ["hands", "", :not_stated]
    end

    it "knows the last travel, and the place a line states, turned over with its side" do
      line = read("1 step R fwd 2 step L back, ends at centre left").first
      walked = [line, Core::Movement::Mirror.line(line)].map { |each| Core::Movement::Walk.new([each]).exit }
      expect(walked.map { |body| [body.travel.value, body.place.value, body.place.source] }).to eq [
        [:back, "centre left", :stated],
        [:back, "centre right", :stated]
      ]
      expect(line.notes).to be_empty
    end

    it "writes a stated end and a pickup so that they read the same again" do
      [
        "1 step R, L free, ends facing back left",
        "&1 step R 2 kick L",
        "& step R 1 step L, ends at the wings"
      ].each do |text|
        line = read(text).first
        again = read(Core::Movement::Writer.new(line).text).first
        expect([again.exit, again.moves.map(&:meaning)]).to eq [line.exit, line.moves.map(&:meaning)]
      end
    end
  end

  describe "properties" do
    def random_line(random, steps)
      at = 0
      moves = []
      while at < 7
        step = steps.sample(random:)
        named = [step.name, *step.aliases].grep_v(/\A\d/) # right behind a count nobody could tell
        side = ["R", "L", nil].sample(random:)
        counts = ["&", "", "", "-#{at + 2}"].sample(random:)
        moves << "#{at + 1}#{counts} #{named.sample(random:)} #{side}".strip
        at += random.rand(2..3)
      end
      moves.join(" ")
    end

    it "writes what it read so that it reads the same again" do
      steps = vocabulary.steps.select { |step| step.kind == :step && step.name != "open" }
      each_case(300) do |random|
        text = random_line(random, steps)
        line = read(text).first
        again = read(Core::Movement::Writer.new(line).text).first
        expect(again.moves.map(&:meaning)).to eq(line.moves.map(&:meaning)), text
      end
    end

    it "is itself again when mirrored twice, and ends on the other foot when mirrored once" do
      each_case(150) do |random|
        line = read(random_line(random, vocabulary.steps)).first
        expect(Core::Movement::Mirror.line(Core::Movement::Mirror.line(line))).to eq line
        ends = [line, Core::Movement::Mirror.line(line)].map { |each| Core::Movement::Walk.new([each]).exit }
        expect(Core::Movement::Mirror.state(ends.first).to_h.slice(:weight, :facing)).to eq ends.last.to_h.slice(
          :weight,
          :facing
        )
      end
    end

    it "survives anything typed, and loses no word of it" do
      pieces =
        'step R L 1 2& a3 5-6 // x2 ( ) "bell" - over 6 o/s , zug é free 8 99 half turn & “'.split +
        ["in 6:", "as Comb eight 2"]
      each_case(300) do |random|
        text = Array.new(random.rand(0..25)) { pieces.sample(random:) }.join([" ", ""].sample(random:))
        lines = read(text)
        Core::Movement::Walk.new(lines)
        kept = lines.flat_map { |l| [*l.moves.map(&:text), *l.notes, *l.cues.map(&:first)] }.join(" ")
        expect(kept.scan("zug").size).to be >= (text.scan(/(?<![[:alnum:]])zug(?![[:alnum:]])/).size.positive? ? 1 : 0),
                                         text
      end
    end
  end

  it "knows at least eighty steps, each by one name only" do
    expect(vocabulary.steps.size).to be >= 80
    names =
      vocabulary.steps.flat_map do |step|
        [step.name, *step.aliases].map { |name| Core::Movement::Vocabulary.fold(name) }.uniq
      end
    expect(names.tally.select { |_, times| times > 1 }).to be_empty
  end
end

RSpec.describe Core::Piece::Check do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(
      id:,
      name: "Part #{id}",
      rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) },
      **facts
    )
  end

  let(:waggle) do
    typed(
      "w",
      "1 step R 2 step L 3 step R 4 touch L",
      "1 step L 2 turn half right 3 step R",
      entry: {
        weight: :left,
        facing: 3
      }
    )
  end
  let(:changes) do
    Core::Piece::Changes.new(
      replace: { 2 => Core::Piece::Row.new(counts: 8, text: "1 step L 2 turn half right 3 kick R") }
    )
  end
  let(:check) { described_class.new(work(link(waggle), link(waggle, mirrored: true), link(waggle, changes:))) }

  it "walks every link from its stated entry, on its side and with its changes" do
    edges =
      check.links.map { |walked| [walked.entry, walked.exit].map { |body| [body.weight.value, body.facing.value] } }
    expect(edges).to eq [[[:left, 3], [:right, 7]], [[:right, 7], [:left, 3]], [[:left, 3], [:left, 7]]]
  end

  it "finds the fork, mirroring undone, with how long the repeats run alike" do
    expect(check.forks.map { |fork| [fork.links, fork.row, fork.count, fork.alike] }).to eq [[[1, 3], 2, 3.0, 8]]
  end

  it "prints itself by its schema, findings with their place" do
    check = described_class.new(work(link(typed("x", "1 step R 2 step R")), link(typed("y", "1 step R 5 weathervane"))))
    out = JSON.parse(Formats::PieceCheck.render(check, say: SAY))
    schema = JSON.parse(File.read("docs/formats/piece-check-1.schema.json", encoding: "UTF-8"))
    expect(JSONSchemer.schema(schema).validate(out).to_a).to be_empty
    expect(out["links"].last["exit"]["weight"]).to eq("value" => "right", "source" => "supposed")
    expect(out["walk"]).to eq [
      {
        "link" => 1,
        "row" => 1,
        "count" => 2.0,
        "kind" => "question",
        "message" => "The right foot already bears the weight. Is there a close or a weight change before it?"
      }
    ]
  end
end
