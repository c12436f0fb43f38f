# frozen_string_literal: true

require "spec_helper"
require_relative "../support/odd_texts"

# The whole way from what somebody types to what pages say of it, for texts nobody foresaw. None may raise, however odd;
# what is not understood stays as typed.
RSpec.describe OddTexts do
  def row(odd, random) = Core::Piece::Row.new(counts: [8, 8, 8, 4, 1, 64].sample(random:), text: odd.text)

  def changes(odd, random)
    return Core::Piece::Changes.new if random.rand < 0.5

    Core::Piece::Changes.new(
      replace: { random.rand(1..2) => row(odd, random) },
      insert_after: random.rand < 0.3 ? { 1 => [row(odd, random)] } : {}
    )
  end

  def piece(random)
    odd = described_class.new(random)
    parts = Array.new(3) { |i| Core::Piece::Section.new(id: i, name: "S#{i}", rows: Array.new(2) { row(odd, random) }) }
    links = Array.new(5) do |i|
      link(parts[i % 3], id: i + 1, mirrored: random.rand < 0.3, changes: changes(odd, random))
    end
    work(*links, sections: parts)
  end

  # Everything pages ask of a piece's steps.
  def whole_way(piece)
    danced = Core::Piece::Danced.new(piece)
    piece.order.links.each { |placed| [danced.walk(placed.link).findings, danced.walk(placed.link).exit] }
    piece.sections.flat_map { |each| danced.lines(each) }.each { |line| Core::Movement::Writer.new(line).text }
    check = Core::Piece::Check.new(piece)
    [check.links, check.findings, check.forks, Formats::Piece::Writer.new(piece).to_h]
    Core::Floor::LineChecks.new(piece, danced:).findings
    joins(piece, danced)
  end

  def joins(piece, danced)
    Core::Joins::Review.new(piece, danced:).joins.each do |held|
      Core::Joins::Agreement.of(held.seam)
      held.findings.flat_map(&:mends).each do |mend|
        [mend.apply(piece), Core::Joins::MendWriter.new(piece, say: SAY).text(mend)]
      end
    end
  end

  it "goes the whole way, whatever is typed" do
    each_case(250) { |random| expect { whole_way(piece(random)) }.not_to raise_error }
  end

  it "goes the whole way with what once took a piece down" do
    ["1 walk x0", "x0", "1 step R x00 2 step L", "1 walk x 0"].each do |text|
      rows = [Core::Piece::Row.new(counts: 8, text:), Core::Piece::Row.new(counts: 8, text: "1 step R")]
      sick = Core::Piece::Section.new(id: 1, name: "S", rows:)
      expect { whole_way(work(link(sick, id: 1), link(sick, id: 2, mirrored: true))) }.not_to raise_error, text
      expect(Core::Movement::Reader.new.read(text)).not_to be_empty
    end
    broken_letters = (+"\xff\xfe1 step").force_encoding("UTF-8")
    expect(Core::Movement::Reader.new.read(broken_letters).first.moves).not_to be_empty
  end

  # The last line of defence, with a reader that has a fault nobody knows yet.
  it "keeps a line that the reader fails at as typed, says so, and takes nothing else with it" do
    broken = Class.new(Core::Movement::LineReader) do
      def lines = @text.include?("boom") ? raise(ZeroDivisionError) : super
    end
    stub_const("Core::Movement::LineReader", broken)
    lines = Core::Movement::Reader.new.section([["1 step R", 8], ["1 boom", 8], ["1 step L", 8]]).map(&:first)
    expect(lines.map { |line| [line.moves.size, line.notes, line.faults.map(&:kind)] })
      .to eq [[1, [], []], [0, ["1 boom"], [:unreadable]], [1, [], []]]
    expect(Core::Movement::Reader.readable?("1 boom")).to be false
    expect(Core::Movement::Reader.readable?("1 step R")).to be true
  end
end
