# frozen_string_literal: true

RSpec.describe Core::Joins do
  # A section from a case of the corpus.
  def side(id, given)
    parts =
      (given["parts"] || {}).map { |group, (offset, hold)| Core::Piece::Part.new(group:, offset:, hold_after: hold) }
    entry =
      (given["entry"] || {}).to_h do |name, value|
        [name.to_sym, %w[weight level].include?(name) ? value.to_sym : value]
      end
    Core::Piece::Section.new(
      id:,
      name: id,
      rows: given["rows"].map { |text| Core::Piece::Row.new(counts: 8, text:) },
      parts:,
      entry:,
      time: given["time"] || "normal",
      expected_counts: given["expected_counts"]
    )
  end

  def review(work, **facts) = Core::Joins::Review.new(work, **facts)

  def finding(work, state, index = 1, **facts)
    review(work, **facts).joins[index - 1].findings.find { |found| found.state == state.to_sym }
  end

  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  describe "worked joins" do
    JSON.parse(File.read(File.expand_path("../corpus/joins.json", __dir__), encoding: "UTF-8")).each do |given|
      it given["name"] do
        piece =
          work(
            link(side("Smoke", given["leaving"])),
            link(side("Drift", given["entering"]), mirrored: given["entering"]["mirrored"] || false)
          )
        found = finding(piece, given["state"])
        expect(found.verdict.to_s).to eq given["verdict"]
        offered = found.mends.map { |mend| mend.change.to_s }
        given["any"] ? expect(offered & given["mends"]).not_to(be_empty) : expect(offered).to(eq(given["mends"]))
        if given["text"]
          expect(found.mends.map { |mend| mend.edit.respond_to?(:text) ? mend.edit.text : "" }.join).to include given[
                    "text"
                  ]
        end
        found.mends.each do |mend|
          expect(finding(mend.apply(piece), given["state"])).to satisfy(mend.change.to_s) { |after|
            after.nil? || after.fits?
          }
        end
      end
    end
  end

  # The last eight is the same, so the join has the same key; the body that comes to it is not.
  it "tells joins apart whose links end with the same eight after another one was changed" do
    rows = ["1-2 kneel", "1-8 hold"].map { |text| Core::Piece::Row.new(counts: 8, text:) }
    low = Core::Piece::Section.new(id: 1, name: "Low", rows:)
    high = Core::Piece::Section.new(id: 2, name: "High", rows: [Core::Piece::Row.new(counts: 8, text: "1 jump")])
    upright = Core::Piece::Changes.new(replace: { 1 => Core::Piece::Row.new(counts: 8, text: "1 step R 2 step L") })
    longer = Core::Piece::Changes.new(insert_after: { 1 => [Core::Piece::Row.new(counts: 8, text: "1-2 kneel")] })
    piece = work(
      link(low, id: 1), link(high, id: 2), link(low, id: 3, changes: upright), link(high, id: 4),
      link(low, id: 5, changes: longer), link(high, id: 6)
    )
    joins = Core::Joins::Review.new(piece).joins.values_at(0, 2, 4)
    levels = joins.map { |held| held.findings.find { |finding| finding.state == :level } }
    aggregate_failures do
      expect(joins.map { |held| held.join.key }.uniq.size).to eq 1
      expect(levels.map { |finding| finding.leaving.value }).to eq %i[kneeling standing kneeling]
      expect(levels.map(&:fits?)).to eq [false, true, false]
      expect { levels.last.mends.each { |mend| mend.apply(piece) } }.not_to raise_error
    end
  end

  describe "places that are measured" do
    let(:piece) do
      work(
        link(typed("Smoke", "1-6 step R")),
        link(typed("Drift", "1 step L")),
        track: Core::Music::Track.new(tempo: [[1, 110]])
      )
    end

    it "is comfortable under 0.6 m a count, fast up to 1.2 m, and a clash beyond, at 110 beats a minute" do
      expect([1.2, 1.3, 2.4, 2.5].map { |metres| finding(piece, :place, metres: { 1 => metres }).verdict }).to eq %i[
        fits
        caution
        caution
        clash
      ]
    end

    it "scales with the tempo, and offers the counts that are missing" do
      faster = piece.with(track: Core::Music::Track.new(tempo: [[1, 220]]))
      clash = finding(faster, :place, metres: { 1 => 1.3 })
      expect([clash.verdict, clash.mends.map(&:change), clash.mends.first.facts]).to eq [
        :clash,
        [:take_counts],
        { counts: 3 }
      ]
      expect(finding(clash.mends.first.apply(faster), :place, metres: { 1 => 1.3 }).verdict).to eq :fits
    end
  end

  it "asks at most two things of one join" do
    piece =
      work(
        link(typed("Smoke", "1-8 arms open, ends at centre")),
        link(typed("Drift", "1 step L 2 put down cloth", entry: { facing: 5, place: "left" }))
      )
    expect(review(piece).joins.first.findings.count(&:question?)).to eq 2
    expect(review(piece).joins.first.verdict).to eq :clash
  end

  it "finds the same join once for its steps, at every place, with mends that name the links there" do
    smoke = typed("Smoke", "1 step L 8 step R")
    drift = typed("Drift", "1 step R 8 step L")
    piece = work(link(smoke), link(drift), link(smoke), link(drift), link(smoke, mirrored: true))
    joins = review(piece).joins
    expect(joins.map { |held| [held.join.index, held.join.first_index, held.verdict] }).to eq [
      [1, 1, :clash],
      [2, 2, :clash],
      [3, 1, :clash],
      [4, 4, :fits]
    ]
    expect(joins[2].findings.first.mends.map(&:link)).to eq [3, 3, 4, 4]
  end

  it "warns where an altered repeat ends otherwise than its sisters" do
    smoke = typed("Smoke", "1 step R", "1 step L")
    drift = typed("Drift", "1 step R")
    changes = Core::Piece::Changes.new(replace: { 2 => Core::Piece::Row.new(counts: 8, text: "1 step L 2 jump") })
    piece = work(link(smoke), link(drift), link(smoke, id: "x", changes:), link(drift))
    expect(review(piece).joins.map { |held| held.findings.find { |found| found.state == :repeat }&.facts }).to eq [
      nil,
      nil,
      { others: [1] }
    ]
  end

  it "mends an altered repeat in its own eight, and a loop only by what helps on both sides" do
    smoke = typed("Smoke", "1 step L 8 step R")
    drift = typed("Drift", "1 step R 2 step L")
    changes = Core::Piece::Changes.new(replace: { 1 => Core::Piece::Row.new(counts: 8, text: "1 step L 7 step R") })
    piece = work(link(smoke), link(drift), link(smoke, changes:), link(drift))
    mended = finding(piece, :weight, 3).mends.first.apply(piece)
    expect(mended.links.map { |each| each.danced.map { |danced| danced.row.text } }).to eq [
      ["1 step L 8 step R"],
      ["1 step R 2 step L"],
      ["1 step L 7 step R 8 close L"],
      ["1 step R 2 step L"]
    ]
    loop_piece =
      work(
        link(smoke.with(rows: [Core::Piece::Row.new(counts: 8, text: "1 step R 8 step R")])),
        link(smoke.with(rows: [Core::Piece::Row.new(counts: 8, text: "1 step R 8 step R")]))
      )
    found = finding(loop_piece, :weight)
    expect(found.mends).not_to be_empty
    found.mends.each { |mend| expect(finding(mend.apply(loop_piece), :weight).verdict).to eq :fits }
  end

  it "does a mend at one link alone when asked to" do
    smoke = typed("Smoke", "1 step L 8 step R")
    drift = typed("Drift", "1 step R 8 step L")
    piece = work(link(smoke), link(drift), link(smoke), link(drift))
    mended = finding(piece, :weight, 1).mends.first.apply(piece, here_only: true)
    expect(review(mended).joins.map(&:verdict)).to eq %i[caution clash clash]
    expect(mended.links.map(&:altered?)).to eq [true, false, false, false]
  end

  it "says every mend in words that name the place" do
    piece = work(link(typed("Smoke", "1 step L 8 step R")), link(typed("Drift", "1 step R", entry: { facing: 5 })))
    writer = Core::Joins::MendWriter.new(piece, say: SAY)
    texts = review(piece).joins.first.findings.flat_map(&:mends).map { |mend| writer.text(mend) }
    expect(texts).to include(
      "End Smoke with a weight change on 8",
      "End Smoke with a touch on 8 instead of a step",
      "Start Drift on the other foot: turn its first eight over",
      "Start Drift facing front",
      "Turn half right from 7 in the last eight of Smoke"
    )
  end

  describe "properties over made-up joins" do
    let(:steps) do
      [
        "step R",
        "step L",
        "touch R",
        "kick L",
        "jump",
        "close L",
        "kneel",
        "get up",
        "lie down",
        "hold",
        "turn half right",
        "turn quarter left",
        "face back",
        "arms open",
        "pick up cloth",
        "put down cloth",
        "ball-change R L",
        "zumble",
        "freestyle"
      ]
    end

    def made_up(random, id)
      rows = Array.new(random.rand(1..2)) do
        at = (1..8).to_a.sample(random.rand(1..4), random:).sort
        Core::Piece::Row.new(
          counts: 8,
          text:
            at.map { |count| "#{count} #{steps.sample(random:)}" }.join(" ") +
              ["", "", ", R free", ", ends facing back"].sample(random:)
        )
      end
      facing = [nil, nil, 1, 5].sample(random:)
      level = [nil, nil, nil, :floor].sample(random:)
      Core::Piece::Section.new(id:, name: id, rows:, entry: { facing:, level: }.compact)
    end

    def joined(random)
      first, second = %w[Smoke Drift].map { |id| made_up(random, id) }
      work(
        link(first, mirrored: random.rand < 0.3),
        link(random.rand < 0.15 ? first : second, mirrored: random.rand < 0.3)
      )
    end

    it "has a mend for every clash, and each mend, applied, makes it fall silent" do
      clashes = 0
      each_case(250) do |random|
        piece = joined(random)
        review(piece).joins.first.findings.reject(&:fits?).each do |found|
          clashes += 1 if found.clash?
          if found.clash? && !piece.links.map { |each| each.section.id }.uniq.one?
            expect(found.mends).not_to(be_empty, piece.links.inspect)
          end
          found.mends.each do |mend|
            after = finding(mend.apply(piece), found.state)
            said = "#{mend.change}: #{piece.sections.map { |s| s.rows.map(&:text) }} #{piece.links.map(&:mirrored)}"
            expect(after.nil? || after.fits?).to be(true), said
          end
        end
      end
      expect(clashes).to be > 20
    end

    it "finds the same on the other side, whole" do
      each_case(120) do |random|
        piece = joined(random)
        other = piece.with(links: piece.links.map { |each| each.with(mirrored: !each.mirrored) })
        expect(review(other).joins.map { |held| held.findings.map { |f| [f.state, f.verdict, f.counts] } }).to eq(
          review(piece).joins.map { |held| held.findings.map { |f| [f.state, f.verdict, f.counts] } }
        )
      end
    end
  end
end
