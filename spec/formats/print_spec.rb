# frozen_string_literal: true

require "spec_helper"
require "pdf/reader"
require_relative "../../formats/print"

# Sheets on paper: everything that a sheet says stands on its pages, whole, inside the margins, in any letters.
RSpec.describe Formats::Print do
  fonts = { regular: "Lato-Regular.ttf", bold: "Lato-Bold.ttf", other: "DejaVuSans.ttf" }
    .transform_values { |file| File.expand_path("../../app/assets/fonts/#{file}", __dir__) }

  define_method(:pdf) do |*blocks, paper: "a4", **facts|
    sheet = described_class::Sheet.new(title: "Smoke", lines: ["Tide"], blocks:, foot: "Studio", **facts)
    PDF::Reader.new(StringIO.new(described_class.render(sheet, paper:, fonts:)))
  end

  def words(reader) = reader.pages.map(&:text).join(" ").gsub(/\s+/, " ")
  def squeezed(text) = text.gsub(/\s+/, "")

  # Every run of letters with where it stands.
  def runs(reader)
    reader.pages.flat_map do |page|
      receiver = PDF::Reader::PageTextReceiver.new
      page.walk(receiver)
      box = page.attributes[:MediaBox]
      receiver.runs.map { |run| [run, box] }
    end
  end

  # Runs that stand outside the page.
  def outside(reader)
    runs(reader).reject do |run, (_, _, wide, high)|
      run.x >= 20 && run.x + run.width <= wide - 20 && run.y.between?(15, high - 20)
    end
  end

  def table(rows, headings = %w[Who What], **more)
    columns = headings.map { |heading| described_class::Column.new(heading:, share: 1) }
    described_class::Table.new(columns:, rows:, **more)
  end

  def eight(counts, moves: {}, **more)
    cells = Array.new(counts) { |i| Array(moves[i]) }
    described_class::Eight.new(number: 3, where: ["count 17"], names: (1..counts).to_a, cells:, weight: [], facing: [],
                               level: [], cue: "", beside: [], **more)
  end

  it "is A4 or Letter, upright or on its side, with page numbers and the foot on every page" do
    sizes = %w[a4 letter].product([false, true]).map do |paper, wide|
      pdf(paper:, wide:).pages.first.attributes[:MediaBox].last(2).map(&:round)
    end
    expect(sizes).to eq [[595, 842], [842, 595], [612, 792], [792, 612]]
    long = pdf(table(Array.new(120) { |i| ["Dancer #{i}", "x"] }))
    expect(long.pages.size).to be > 2
    long.pages.each_with_index do |page, i|
      expect(page.text).to include("Studio").and include("#{i + 1} / #{long.pages.size}").and include "Who"
    end
  end

  it "carries its own fonts, and sets names in Latin, Greek and Cyrillic" do
    names = ["Zoë Łęcka", "Νίκη Αδάμ", "Жанна Ёлкина", "Şebnem Ğ", "Ångström ½ → ●"]
    reader = pdf(described_class::Points.new(names), table(names.map { |name| [name, "☐ ♩"] }))
    names.each { |name| expect(words(reader)).to include name }
    found = reader.pages.first.fonts.values
    expect(found.map { |font| font[:BaseFont].to_s }).to all(match(/\A\h{6}\+(?:Lato|DejaVu)/))
    expect(reader.objects.to_a.filter_map { |_, object| object[:FontFile2] if object.is_a?(Hash) }).not_to be_empty
  end

  it "loses no letter and goes over no edge, however long the words are" do
    each_case(5, short: 2) do |random|
      cell = -> { Array.new(random.rand(0..60)) { "w" * random.rand(1..40) }.join([" ", "", ", "].sample(random:)) }
      rows = Array.new(random.rand(1..12)) { [cell.call, cell.call, cell.call] }
      moves = Array.new(8) { |i| [i, [cell.call[0, 110]]] }.to_h
      reader = pdf(table(rows, %w[A B C]), eight(8, moves:), wide: random.rand < 0.3)
      expect(outside(reader).map { |run, _| run.text }).to be_empty
      wanted = [rows, moves.values].join.count("w")
      expect(runs(reader).sum { |run, _| run.text.count("w") }).to eq wanted
    end
  end

  it "sets eights of any number of counts, with every move on its count and the body under them" do
    (Seeded::LONG ? [1, 4, 8, 10, 12, 16, 64] : [1, 8, 12, 24]).each do |counts|
      moves = Array.new(counts) { |i| [i, ["move#{i}x"]] }.to_h
      body = { weight: [[0, counts, :left, false], [0, 1, "seated", false]], facing: [[0, 1], [counts - 1, nil]],
               level: [[0, counts, "low"]], cue: "breathe", beside: ["Nurses: hold"] }
      reader = pdf(eight(counts, moves:, **body))
      expect(outside(reader)).to be_empty
      counts.times { |i| expect(squeezed(words(reader))).to include "move#{i}x" }
      expect(words(reader)).to include("breathe").and include("seated").and include("low").and include "Nurses: hold"
    end
  end

  it "sets words that are too many for a count under the eight, all of them" do
    long = Array.new(90) { |i| "word#{i}" }.join(" ")
    reader = pdf(eight(8, moves: { 2 => [long] }))
    expect(outside(reader)).to be_empty
    expect(squeezed(words(reader))).to include("3:word0word1", "word89")
  end

  it "sets a grid of hundreds of names over as many pages as it needs, its headings on each" do
    rows = Array.new(150) { |i| ["Ёлкина #{i}", Array.new(12) { |k| (i + k).even? ? "5●" : "" }] }
    grid = described_class::Grid.new(corner: "Who", headings: Array.new(12) { |i| "into Part #{i}" }, rows:, first: 0.2)
    reader = pdf(grid, wide: true)
    expect(outside(reader)).to be_empty
    expect(reader.pages.size).to be > 2
    expect(reader.pages.map { |page| page.text.gsub(/\s+/, " ") }).to all(include("Part 11"))
    expect(runs(reader).count { |run, _| run.text == "5●" }).to eq(150 * 6)
    expect(squeezed(words(reader))).to include "Ёлкина149"
  end

  it "sets two stacks side by side over as many pages as they need, and goes on below the longer" do
    long = described_class::Points.new(Array.new(90) { |i| "left #{i}" })
    short = described_class::Points.new(["right"])
    reader = pdf(described_class::Halves.new([long], [short]), described_class::Words.new(text: "after"))
    expect(reader.pages.first.text).to include("left 0").and include "right"
    expect(reader.pages.last.text).to include("left 89").and include "after"
    expect(outside(reader)).to be_empty
  end

  it "draws a picture and a code for a camera within the page" do
    svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 900 3000"><style>.a { fill: #f00 }</style>' \
          '<rect class="a" width="900" height="3000"/><text x="10" y="20">Chain</text></svg>'
    code = described_class::Code.new(modules: Array.new(21) { |y| Array.new(21) { |x| (x + y).even? } }, label: "Scan")
    reader = pdf(described_class::Picture.new(svg:, label: "p"), code)
    expect(words(reader)).to include("Chain").and include "Scan"
    expect(outside(reader)).to be_empty
  end
end
