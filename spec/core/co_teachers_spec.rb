# frozen_string_literal: true

# A section that several teach: who is called, what each carries, and that its joins have one owner still.
RSpec.describe Core::Piece::Section do
  def taught(needed: "all", **facts)
    section("s", 8, 8, choreographer: "jo", co_teachers: %w[mel], teachers_needed: needed, **facts)
  end

  def tasks(*sections)
    piece = work(*sections.map { |each| link(each) })
    items = Core::Learning::Items.new(piece, cast: { "ada" => [] })
    progress = Core::Learning::Progress.new
    Core::Planning::Schools::AddOn.new(piece, items:, progress:, estimate: Core::Planning::Estimate.new).tasks
  end

  it "calls all who teach it, or the one a plan chose where one is enough" do
    expect([taught, taught(needed: "one"), taught(needed: "one", planned_by: "mel")].map(&:called_teachers)).to eq [
      %w[jo mel], %w[jo], %w[mel]
    ]
    learn = tasks(taught, section("d", 8, choreographer: "ann")).find { |task| task.kind == "learn" }
    expect(learn.choreographers).to eq %w[jo mel]
  end

  it "is joined and not taught where it is known already, and is nobody's load" do
    known = section("k", 8, 8, choreographer: "ann", known: true)
    kinds = tasks(known, taught).map(&:kind)
    expect([kinds.count("learn"), kinds.include?("join")]).to eq [1, true]
    shares = Core::Planning::Load.new(work(link(known), link(taught))).shares
    expect(shares.map { |share| [share.choreographer, share.eights] }).to eq [["ann", 0], ["jo", 1.0], ["mel", 1.0]]
    structure = Core::Piece::StructureReader.new("Gate, 2 eights, Ann, known\nNets, 1 eight").structure
    expect([structure.sections.map(&:known), structure.new_counts]).to eq [[true, false], 8]
    written = Core::Piece::StructureWriter.new(work(link(known)), teachers: { "ann" => "Ann" }).text
    expect(written).to eq "Section k, 2 eights, Ann, known"
  end

  it "keeps one owner for a join" do
    join = tasks(section("d", 8, choreographer: "ann"), taught).find { |task| task.kind == "join" }
    expect(join.choreographers).to eq %w[jo]
  end

  it "is shared between those who teach it" do
    shares = Core::Planning::Load.new(work(link(taught), link(section("d", 8, choreographer: "jo")))).shares
    expect(shares.map { |share| [share.choreographer, share.eights] }).to eq [["jo", 2.0], ["mel", 1.0]]
  end
end
