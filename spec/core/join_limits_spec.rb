# frozen_string_literal: true

# Where a join turns from comfortable to fast to impossible, count by count, and who has how many.
RSpec.describe Core::Joins do
  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def part(group, offset = 0, **facts) = Core::Piece::Part.new(group:, offset:, **facts)

  def joined(first, second, **side)
    work(link(first), link(second, **side), track: Core::Music::Track.new(tempo: [[1, 110]]))
  end

  def finding(piece, state, **facts)
    Core::Joins::Review.new(piece, **facts).joins.first.findings.find { |found| found.state == state }
  end

  def seam(first, second)
    Core::Joins::Seam.of(
      Core::Joins::Sequence.new((piece = joined(first, second)).order).joins.first,
      Core::Piece::Danced.new(piece)
    )
  end

  describe "a change of level" do
    # The leaving eight is at a level and leaves so many counts free.
    def leaving(level, free)
      steps = { floor: "lie down", kneeling: "kneel", low: "crouch" }
      typed("Smoke", level == :standing ? "1 step R #{8 - free} step L" : "1-#{8 - free} #{steps.fetch(level)}")
    end

    def entering(level)
      level == :standing ? typed("Drift", "1 step R", entry: { level: }) : typed("Drift", "1 reach", entry: { level: })
    end

    # The handbook's counts: comfortable, fast.
    {
      %i[floor standing] => [4, 2],
      %i[kneeling standing] => [2, 1],
      %i[standing kneeling] => [2, 1],
      %i[standing floor] => [4, 2],
      %i[floor kneeling] => [2, 1],
      %i[kneeling floor] => [2, 1]
    }.each do |(from, to), (comfortable, fast)|
      it "from #{from} to #{to} is comfortable in #{comfortable}, fast in #{fast}" do
        verdicts =
          [comfortable, comfortable - 1, fast, fast - 1].map do |free|
            finding(joined(leaving(from, free), entering(to)), :level).verdict
          end
        expect(verdicts).to eq %i[fits caution caution clash]
      end
    end

    it "needs no counts where the level stays, nor where nothing says how high it starts and nothing starts soon" do
      expect(finding(joined(leaving(:kneeling, 0), entering(:kneeling)), :level).verdict).to eq :fits
      expect(
        [1, 2, 3].map { |at| finding(joined(leaving(:kneeling, 0), typed("Drift", "#{at} clap")), :level).verdict }
      ).to eq %i[question question fits]
    end

    it "asks for the counts that are missing until it is comfortable" do
      mends = finding(joined(leaving(:floor, 1), entering(:standing)), :level).mends
      expect(mends.map(&:change)).to eq %i[level_change take_counts]
      expect(mends.last.facts[:counts]).to eq 3
    end
  end

  describe "a way on the floor" do
    let(:smoke) { typed("Smoke", "1-6 step R") }

    it "is half as long in counts where a count lasts two beats" do
      verdicts =
        %w[normal half double].map do |time|
          [1.3, 2.4, 2.5].map do |metres|
            finding(joined(smoke, typed("Drift", "1 step L", time:)), :place, metres: { 1 => metres }).verdict
          end
        end
      expect(verdicts).to eq [%i[caution caution clash], %i[fits fits caution], %i[clash clash clash]]
    end

    it "is nobody's business where only one side says a place" do
      said = "1-6 step R, ends at centre left"
      expect(finding(joined(typed("Smoke", said), typed("Drift", "1 step L")), :place).verdict).to eq :fits
      expect(
        finding(joined(smoke, typed("Drift", "1 step L", entry: { place: "upstage" })), :place).verdict
      ).to eq :fits
      expect(finding(joined(smoke, typed("Drift", "1 step L")), :place)).to be_nil
      expect(
        finding(joined(typed("Smoke", said), typed("Drift", "1 step L", entry: { place: "upstage" })), :place).verdict
      ).to eq :question
    end
  end

  describe "the counts between" do
    let(:smoke) { typed("Smoke", "1-6 step R") }
    let(:drift) { typed("Drift", "3 step L") }

    it "are those after the last move and before the first" do
      expect(seam(smoke, drift).counts).to eq 4
      expect(seam(typed("Smoke", "1-8 step R"), typed("Drift", "1 step L")).counts).to eq 0
    end

    it "are more by a group's own start, for the group that gains least; holding before it is no rest" do
      expect(seam(smoke, drift.with(parts: [part("g", 4)])).counts).to eq 8
      expect(seam(smoke, drift.with(parts: [part("g", 4), part("h", 2)])).counts).to eq 6
      expect(seam(smoke, drift.with(parts: [part("g", 4, hold_before: 3)])).counts).to eq 5
      expect(seam(smoke, drift.with(parts: [part("g", -2)])).counts).to eq 4
    end

    it "are more by an early end, for those who dance both" do
      canon = smoke.with(parts: [part("g"), part("h", 4)])
      expect([seam(canon, drift).early, seam(canon, drift).counts]).to eq [{ "g" => 4, "h" => 0 }, 4]
      both = seam(canon, drift.with(parts: [part("g", 1)]))
      expect([both.shared, both.early, both.counts]).to eq [["g"], { "g" => 4 }, 9]
    end
  end

  describe "groups that meet" do
    let(:canon) { typed("Smoke", "1 step R", parts: [part("g"), part("h", 4), part("k", 1)]) }

    it "must be done together where all begin together, and say when the last and the first are done" do
      found = finding(joined(canon, typed("Drift", "1 step L")), :groups)
      expect([found.verdict, found.leaving.value, found.entering.value, found.facts[:early]]).to eq [
        :clash,
        12,
        8,
        { "g" => 4, "k" => 3 }
      ]
      expect(found.mends.first.facts[:holds]).to eq("g" => 4, "k" => 3)
      held = canon.with(parts: [part("g", 0, hold_after: 4), part("h", 4), part("k", 1, hold_after: 3)])
      expect(finding(joined(held, typed("Drift", "1 step L")), :groups).verdict).to eq :fits
    end

    it "need not where they begin one after another" do
      expect(
        finding(
          joined(canon, typed("Drift", "1 step L", parts: [part("g"), part("h", 4), part("k", 1)])),
          :groups
        ).verdict
      ).to eq :fits
    end

    it "that only the words hold back need as many counts of nothing as the last is late" do
      late = typed("Smoke", "1-8 step R", "Nurses 2 later", "Scouts 3 later")
      first = [3, 4].map { |at| finding(joined(late, typed("Drift", "#{at} step L")), :groups)&.verdict }
      expect(first).to eq %i[clash fits]
    end
  end

  describe "a change of the count itself" do
    def tempo(left, right, **row)
      finding(
        joined(
          typed("Smoke", "1 step R", time: left),
          typed("Drift", "1 step L", time: right).then { |drift| drift.with(rows: [drift.rows.first.with(**row)]) }
        ),
        :tempo
      )
    end

    it "is said where it is fourfold, and known where it is double" do
      expect(
        [
          tempo("half", "double").verdict,
          tempo("double", "half").verdict,
          tempo("normal", "half").verdict,
          tempo("normal", "normal")
        ]
      ).to eq [:clash, :clash, :fits, nil]
      expect(tempo("half", "double", name: "twice as fast").verdict).to eq :fits
      expect(tempo("half", "double", cue: "and fast!").verdict).to eq :fits
    end

    it "is mended by naming it on the first eight" do
      mend = tempo("half", "double").mends.first
      expect(
        [mend.link, mend.row, mend.count, mend.facts[:tempo], tempo("double", "half").mends.first.facts[:tempo]]
      ).to eq [2, 1, 1, "double time from here", "half time from here"]
    end
  end

  describe Core::Joins::Sequence do
    it "finds each different join once, also on the other side, and the one after a link" do
      smoke = typed("Smoke", "1 step R")
      drift = typed("Drift", "1 step L")
      sequence =
        described_class.new(work(link(smoke), link(drift), link(smoke), link(drift), link(smoke, mirrored: true)).order)
      expect(sequence.distinct.map { |join| [join.index, join.key] }).to eq [
        [1, "jSmoke-Drift"],
        [2, "jDrift-Smoke"],
        [4, "jDrift-Smokem"]
      ]
      expect([sequence.after(1).index, sequence.after(4).index, sequence.after(5)]).to eq [1, 4, nil]
    end
  end

  it "says counts and holds in the right number" do
    writer = Core::Joins::MendWriter.new(joined(typed("Smoke", "1 step R"), typed("Drift", "1 step L")), say: SAY)
    said = lambda do |change, **facts|
      writer.text(Core::Joins::Mend.new(change:, link: 1, row: 1, count: 1, edit: nil, facts:))
    end
    expect([said.call(:take_counts, counts: 1), said.call(:take_counts, counts: 2)]).to eq [
      "Give 1 count before Smoke",
      "Give 2 counts before Smoke"
    ]
    expect(
      said.call(:extend_hold, holds: { "g" => 1 })
    ).to eq "Hold at the end of Smoke: 1 more count for those who are early"
    expect(
      said.call(:extend_hold, holds: { "g" => 4, "h" => 2, "k" => 4 })
    ).to eq "Hold at the end of Smoke: 2 and 4 more counts for those who are early"
  end
end
