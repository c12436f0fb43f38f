# frozen_string_literal: true

# Figures at the very edge of what they may be, and what is left when one of two things is missing.
RSpec.describe Core do
  it "has eights of one to 64 whole counts" do
    [1, 64].each { |counts| expect(Core::Piece::Row.new(counts:).counts).to eq counts }
    [0, 65, -1, 4.5, "8", nil].each do |counts|
      expect { Core::Piece::Row.new(counts:) }.to raise_error(Core::ValueError, /from 1 to 64/), counts.inspect
    end
  end

  def structure(text) = Core::Piece::StructureReader.new(text).structure
  def counts(text) = structure(text).then { |read| read.links.map { |link| read.counts(link) } }

  it "adds counts to eights, and none where none are said" do
    expect(counts("Comb, 3 eights and 4 counts, Mo\nTail, 2 eights and 0 counts, Mo\nEnd, 2 eights and a tag of 4, Mo"))
      .to eq [28, 16, 20]
  end

  it "hears how many counts a bar has, whichever way it is said" do
    ["4 counts in a bar", "bars are 4 counts", "3 counts to the bar"].each do |said|
      facts = Core::Piece::Listing::Facts.of(said)
      expect(facts[:bar]).to eq(said.start_with?("3") ? 3 : 4), said
    end
    expect(Core::Piece::Listing::Facts.of("a bar of chocolate")[:bar]).to be_nil
  end

  it "calls counts that groups still take behind the last eight as a further eight" do
    late = Core::Piece::Part.new(group: 2, offset: 4)
    parts = [Core::Piece::Part.new(group: 1), late]
    own = Core::Piece::Section.new(id: 1, name: "Canon", rows: rows(8, 8), parts:)
    piece = work(link(own, id: 1))
    counts = Core::Room::Score.new(piece, danced: Core::Piece::Danced.new(piece)).links.first.counts
    expect(counts.map(&:eight).tally).to eq(1 => 8, 2 => 8, 3 => 4)
  end
end
