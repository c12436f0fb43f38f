# frozen_string_literal: true

RSpec.describe Core::Joins::Checking do
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
