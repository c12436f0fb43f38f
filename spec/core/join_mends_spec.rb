# frozen_string_literal: true

# Whatever two sections leave and enter with: every clash has a mend, and every mend that is offered does what it says.
RSpec.describe Core::Joins::Review do
  let(:leaving) do
    [
      "1 step R",
      "1 step L 8 step R",
      "1 step R 7-8 turn half right",
      "1 step R 8 lie down",
      "1 kneel 5 hold",
      "1 pick up cloth 8 step R",
      "1-8 arms open",
      "",
      "1 step L 5-6 jump 8 step L",
      "1 step R 5-8 hold",
      "5 step R 8 close L, R free",
      "1 step L 3 face back, ends facing back",
      "1 step L, ends at left",
      "1 crouch 8 step R",
      "1 step R 8 step L & step R",
      "1 sit 8 hold",
      "1-4 travel to right 8 step L"
    ]
  end
  let(:entering) do
    [
      "1 step R",
      "1 step L",
      "3 step R",
      "1 jump",
      "1 kick L",
      "1 lie down",
      "1 kneel",
      "1 put down cloth 2 step L",
      "& step R 1 step L",
      "",
      "1-8 hold",
      "1 turn half left 3 step R",
      "1 crouch 2 step L",
      "5 step L",
      "1 clap 2 step R"
    ]
  end
  let(:edges) do
    [
      {},
      {},
      {},
      { facing: 1 },
      { facing: 5 },
      { facing: 3 },
      { level: :floor },
      { level: :kneeling },
      { level: :standing },
      { weight: :left },
      { weight: :right },
      { hands: "cloth" },
      { hands: "" },
      { place: "left" },
      { place: "right" },
      { facing: 7, level: :standing }
    ]
  end

  def typed(id, *texts, **facts)
    Core::Piece::Section.new(id:, name: id, rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }, **facts)
  end

  def random_piece(random)
    smoke =
      typed(
        "Smoke",
        leaving.sample(random:),
        leaving.sample(random:),
        exit: edges.sample(random:),
        time: %w[normal normal half].sample(random:)
      )
    drift =
      typed(
        "Drift",
        entering.sample(random:),
        entry: edges.sample(random:),
        time: %w[normal normal double].sample(random:)
      )
    work(link(smoke, mirrored: random.rand < 0.2), link(drift, mirrored: random.rand < 0.2))
  end

  def finding(piece, state) = described_class.new(piece).joins.first.findings.find { |each| each.state == state }

  # What a failing example says of the piece it was made of.
  def facts_of(piece)
    "#{piece.sections.map { |s| [s.rows.map(&:text), s.entry, s.exit, s.time] }} #{piece.links.map(&:mirrored)}"
  end

  it "offers a mend for every clash, and after any of them it no longer clashes" do
    seen = Hash.new(0)
    each_case(250) do |random|
      piece = random_piece(random)
      described_class.new(piece).joins.first.findings.select(&:clash?).each do |found|
        expect(found.mends).not_to be_empty, "no mend for #{found.state} of #{facts_of(piece)}"
        found.mends.each do |mend|
          seen[mend.change] += 1
          after = finding(mend.apply(piece), found.state)
          expect(after.nil? || !after.clash?)
            .to be(true), "#{found.state}: #{mend.change} leaves #{after&.verdict} of #{facts_of(piece)}"
          expect(Core::Joins::MendWriter.new(piece, say: SAY).text(mend)).to match(/\A[A-Z].*\S\z/)
        end
      end
    end
    expect(seen.keys).to include(:weight_change, :turn, :enter_facing, :level_change, :mirror_link)
  end

  it "leaves a question answered by what it offers, and nothing but its own sections touched" do
    each_case(250) do |random|
      piece = random_piece(random)
      described_class.new(piece).joins.first.findings.select(&:question?).each do |found|
        found.mends.each do |mend|
          mended = mend.apply(piece)
          expect(finding(mended, found.state)&.question?)
            .not_to be(true), "#{found.state}: #{mend.change} #{facts_of(piece)}"
          expect([mended.sections.map(&:id), mended.links.size]).to eq [piece.sections.map(&:id), 2]
        end
      end
    end
  end

  it "asks at most two things, and is only as bad as its worst finding" do
    each_case(120) do |random|
      held = described_class.new(random_piece(random)).joins.first
      expect(held.findings.count(&:question?)).to be <= 2
      expect(held.verdict).to eq(
        %i[clash question caution not_written].find { |each| held.findings.map(&:verdict).include?(each) } || :fits
      )
    end
  end
end
