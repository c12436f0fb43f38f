# frozen_string_literal: true

RSpec.describe Core::Joins::Questions do
  def typed(id, *texts, **facts)
    rows = texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }
    Core::Piece::Section.new(id:, name: id, choreographer: "odalys", rows:, **facts)
  end

  def held(piece, **facts) = Core::Joins::Review.new(piece, **facts).joins
  def asked(piece, **facts) = described_class.new(held(piece), **facts).all

  it "asks about the word a doubt comes from, once, however many joins lean on it" do
    drift = typed("Drift", "1 step R 2 step L")
    sections = [typed("Smoke", "1-4 weathervane"), drift, typed("Fog", "1 step R 5 weathervane"), drift]
    piece = work(*sections.map { |section| link(section) })
    questions = asked(piece)
    expect(questions.map { |each| [each.kind, each.word, each.section.name] }).to eq [[:word, "weathervane", "Smoke"]]
    expect(questions.first.options).to eq Core::Movement::Meaning::EFFECTS
  end

  it "is answered for the teacher's sections by what the word means there, and not for others" do
    piece = work(link(typed("Smoke", "1 step L 2 weathervane")), link(typed("Drift", "1 step R")))
    meant = { "odalys" => [Core::Movement::Meaning.step("weathervane", :left)] }
    vocabulary = Core::Movement::Vocabulary.new(meant:)
    others = Core::Movement::Vocabulary.new(meant: { "mirela" => meant["odalys"] })
    expect(held(piece, vocabulary:).first.verdict).to eq :fits
    expect(held(piece, vocabulary: others).first.verdict).to eq :question
  end

  Core::Movement::Meaning::EFFECTS.zip(%i[fits fits clash clash fits]).each do |effect, verdict|
    it "knows what follows when a word #{effect}: the foot after it" do
      meant = { "odalys" => [Core::Movement::Meaning.step("whirr", effect)] }
      piece = work(link(typed("Smoke", "1 step L 2 whirr")), link(typed("Drift", "1 step R")))
      joined = held(piece, vocabulary: Core::Movement::Vocabulary.new(meant:)).first
      expect(joined.findings.find { |finding| finding.state == :weight }.verdict).to eq verdict
    end
  end

  it "asks which foot is free where nobody said it, and every answer is a stated end" do
    piece = work(link(typed("Smoke", "1-8 arms open")), link(typed("Drift", "1 step R")))
    question = asked(piece).first
    verdicts = question.options.map { |option| held(question.mend(option).apply(piece)).first.verdict }
    expect([question.state, question.edge, question.options]).to eq [:weight, :exit, %i[left right either]]
    expect(verdicts).to eq %i[clash fits fits]
  end

  it "asks how far a turn goes, and types the answer behind it" do
    drift = typed("Drift", "1 step R", entry: { facing: 1 })
    piece = work(link(typed("Smoke", "1 step R 3 turn R 8 step L")), link(drift))
    question = asked(piece).first
    expect([question.kind, question.word, question.options]).to eq [:turn, "turn R", %i[half full quarter]]
    mended = question.mend(:full).apply(piece)
    expect(mended.sections.first.rows.first.text).to eq "1 step R 3 turn R full 8 step L"
    expect(held(mended).first.verdict).to eq :fits
  end

  it "asks which foot begins where not everybody begins with the same, and an answer settles it" do
    apart = typed("Drift", "odds step R 1, evens step L 2, all kneel 7 8")
    piece = work(link(typed("Smoke", "1 step R 2 step L")), link(apart))
    expect(held(piece).first.verdict).to eq :question
    question = asked(piece).first
    expect([question.state, question.edge, question.section.name]).to eq [:weight, :entry, "Drift"]
    expect(%i[right left].map { |free| held(question.mend(free).apply(piece)).first.verdict }).to eq %i[fits clash]
    either = work(link(typed("Smoke", "1 jump, both feet")), link(apart))
    expect(held(either).first.findings.find { |finding| finding.state == :weight }.verdict).to eq :fits
    expect(asked(work(link(typed("Smoke", "1 step R 2 step L")), link(typed("Drift", "8 steps left")))).map(&:edge))
      .to eq [:entry]
  end

  it "asks at most two things of a join, nothing of one that was agreed, and nothing that no join depends on" do
    vague = typed("Smoke", "skip round the room")
    piece = work(link(vague), link(typed("Drift", "facing front step L 1 step R 2")))
    expect(asked(piece).map(&:state)).to eq %i[weight facing]
    expect(asked(piece, settled: [held(piece).first.join.key])).to be_empty
    expect(asked(work(link(vague), link(typed("Drift", "1-8 arms open"))))).to be_empty
  end

  it "puts at most six questions in a piece of eight sections that is typed as people talk" do
    piece = {
      "Market" => ["walk on from the sides R L R L, arms swing 5-8", "the basket bit 1-4, turn 5 6, clap 7 8"],
      "Harbour" => ["step R, tog, step R, touch, other side", "heel R, heel L, jump jump, hips L R L R"],
      "Lanterns" => ["arms up like lanterns 1-4, lower 5-8", "drop down low 1, roll 2-4, get up 5 6, freeze 7 8"],
      "Rain" => ["freestyle 8 counts", "kick ball change R, kick ball change L, walk R L R L"],
      "Crossing" => ["grapevine R, grapevine L", "weathervane 1-4, step R 5, step L 6, hold"],
      "Kites" => ["run round the room for 8", "weathervane, weathervane, stomp R stomp L"],
      "Night" => ["sit down on the floor 1-4, lie back 5-8", "kneel up 1-4, stand up 5-8 on both feet"],
      "Finale" => ["facing front step L on 1, R 2, L 3, touch R 4, snap 5-8", "jump, big finish pose"]
    }
    questions = asked(work(*piece.map { |name, texts| link(typed(name, *texts)) }))
    expect(questions.size).to be_between(1, 6)
  end
end
