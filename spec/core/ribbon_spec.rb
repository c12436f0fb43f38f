# frozen_string_literal: true

# The body along one eight: spans that cover it without a gap, and change where the body does.
RSpec.describe Core::Movement::Ribbon do
  def ribbons(*texts, entry: {})
    rows = texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }
    section = Core::Piece::Section.new(id: 1, name: "S", rows:, entry:)
    work = Core::Piece::Work.new(title: "P", sections: [section], links: [Core::Piece::Link.new(section:, id: "1")])
    danced = Core::Piece::Danced.new(work)
    walk = danced.section_walk(section)
    danced.lines(section).each_with_index.map { |line, i| described_class.new(line, walk, i + 1) }
  end

  def spans(ribbon, name) = ribbon.spans(name).map { |from, to, value, _| [from / 12, to / 12, value] }

  it "says which foot bears the weight from count to count" do
    first, second = ribbons("1 step R 2 step L 5 kick R", "1 step R")
    expect(spans(first, :weight)).to eq [[0, 1, :right], [1, 8, :left]]
    expect(spans(second, :weight)).to eq [[0, 8, :right]]
  end

  it "changes the weight at each placement of a step that has several" do
    ribbon, = ribbons("1 step R 3& ball-change L R")
    weights = ribbon.spans(:weight).map { |_, _, value, _| value }
    expect(weights).to eq %i[right left right]
  end

  it "turns where the body turns and lowers where it does" do
    ribbon, = ribbons("1 step R 3 turn quarter right 5 kneel", entry: { facing: 1 })
    expect(ribbon.spans(:facing).map { |_, _, value, _| value }).to start_with(1).and include 3
    expect(spans(ribbon, :level)).to eq [[0, 4, :standing], [4, 8, :kneeling]]
  end

  it "covers every eight without a gap, whatever is danced" do
    moves = ["step R", "step L", "kneel", "turn half left", "jump", "hold", "ball-change R L", "gribble", "get up"]
    each_case(80) do |random|
      texts = Array.new(3) { (1..8).select { random.rand < 0.5 }.map { |c| "#{c} #{moves.sample(random:)}" }.join(" ") }
      ribbons(*texts).each do |ribbon|
        %i[weight facing level].each do |name|
          found = ribbon.spans(name)
          expect([found.first.first, found.last[1]]).to eq [0, 96]
          found.each_cons(2) { |a, b| expect([b.first, a.drop(2) == b.drop(2)]).to eq [a[1], false] }
        end
      end
    end
  end
end
