# frozen_string_literal: true

require "spec_helper"

# A roster as people send it: every line is taken, there already, or named with what is wrong with it.
RSpec.describe Formats::Roster do
  def read(source, **known) = described_class.parse(source, **known)
  def names(source, **known) = read(source, **known).people.map(&:name)
  def faults(source, **known) = read(source, **known).faults.map { |fault| [fault.line, fault.kind] }

  it "finds separator and columns, names bad lines, keeps formulas from spreadsheets" do
    result = read("First name\tSurname\tGroup\nAda\tQuill\tScouts; Solo\n\t\tScouts\n=cmd\tX\t\n")
    expect(result.people.map { |p| [p.name, p.groups] }).to eq [["Ada Quill", %w[Scouts Solo]], ["=cmd X", []]]
    expect(result.faults.map { |f| [f.line, f.kind] }).to eq [[3, :no_name]]
    expect(described_class.render([{ name: "=cmd X", groups: ["a"], leader: true }])).to include("'=cmd X,a,yes")
  end

  it "understands a group and its names on one line, which is counted once" do
    result = read("Scouts: Ada Quill, Bram Oak, Ada Quill\nNurses: \nCleo Ash, Builders")
    expect(result.people.map { |person| [person.name, person.groups, person.line] }).to eq [
      ["Ada Quill", ["Scouts"], 1], ["Bram Oak", ["Scouts"], 1], ["Cleo Ash", ["Builders"], 3]
    ]
    expect(result.faults.map { |fault| [fault.line, fault.kind] }).to eq [[1, :twice], [2, :no_name]]
    expect(result.lines.values.sum).to eq 3
  end

  it "writes what it reads back" do
    written = described_class.render([{ name: "Ada \"Nan\" Quill", groups: %w[Scouts Solo], leader: false,
                                        adult: true }])
    expect(read(written).people.map { |person| [person.name, person.groups, person.adult] }).to eq [
      ["Ada \"Nan\" Quill", %w[Scouts Solo], true]
    ]
  end

  it "reads every kind of line end, and cells that go over a line" do
    ["\n", "\r", "\r\n", "\u2028"].each do |ending|
      expect(names(["Name,Group", "Ada Quill,Scouts", "Bram,Scouts"].join(ending))).to eq ["Ada Quill", "Bram"]
    end
    expect(names("\"Ann\nMarie\",Scouts\nBram,Scouts")).to eq ["Ann Marie", "Bram"]
  end

  it "loses one line to an open quotation mark, and takes names somebody goes by" do
    text = "Ann \"Nan\" Berg,Scouts\n\"Bram,Scouts\nCleo,Wings\nDora\",Wings\nEmil,Wings"
    expect(names(text)).to eq ["Ann \"Nan\" Berg", "Cleo", "Emil"]
    expect(faults(text)).to eq [[2, :unreadable], [4, :unreadable]]
  end

  it "reads the letters of new and old spreadsheets, and says when a file is no text" do
    text = "Name;Group\nZoë Test;Wings\nAnïs Test;Wings\n"
    %w[UTF-8 UTF-16LE UTF-16BE Windows-1252].each do |letters|
      expect(names(text.encode(letters))).to eq ["Zoë Test", "Anïs Test"]
      expect(names("\uFEFF#{text}".encode(letters))).to eq ["Zoë Test", "Anïs Test"] if letters.start_with?("UTF")
    end
    expect(faults("PK\x03\x04 and so on")).to eq [[1, :no_text]]
    expect { described_class.text("%PDF-1.4") }.to raise_error(Formats::FaultyFile)
  end

  it "says why a line is left out" do
    text = "#{'A' * 81},Scouts\nAda,#{'G' * 41}\nAda,Scouts\nada,Wings\n,Wings\nBram,Third\n\nCleo,Scouts"
    known = { known_people: ["Cleo"], known_groups: ["Old"], most_groups: 2 }
    expect(faults(text, **known)).to eq [
      [1, :long_name], [2, :long_group], [4, :twice], [5, :no_name], [6, :too_many_groups]
    ]
    expect(read(text, **known).lines).to eq(taken: 1, known: 1, left_out: 5, heading: 0, empty: 1)
  end

  it "reads a bare list, and accounts for what a huge one has too much" do
    result = read(Array.new(10_000) { |i| "Dancer #{i}" }.join("\n"))
    expect(result.people.size).to eq 600
    expect(result.faults.map do |fault|
      [fault.line, fault.kind, fault.lines.size]
    end).to eq [[601, :too_many_lines, 9400]]
  end

  # What stands in the cells and between them, thrown together.
  def parts
    ["Ada", "Bram Oakes", "Zoë", "\"", "\"\"", "'", ",", ";", "\t", " ", "name", "groups", "leader", "yes", "=1",
     "\0", "Wings", "x" * 90, "o'Neil", "\u200B", "-", "½"]
  end

  def odd_file(random)
    ending = ["\n", "\r", "\r\n"].sample(random:)
    lines = Array.new(random.rand(1..40)) { Array.new(random.rand(0..7)) { parts.sample(random:) }.join }
    lines.join(ending).encode(%w[UTF-8 UTF-16LE Windows-1252].sample(random:), invalid: :replace, undef: :replace)
  end

  # Lines of a file, counted apart from the reader.
  def line_count(bytes)
    text = described_class.text(bytes)
    text.lines.size
  end

  it "accounts for every line, whatever is sent" do
    each_case(400) do |random|
      file = odd_file(random)
      result = read(file, known_people: %w[Ada Zoë], most_groups: 3)
      expect(result.lines.values.sum).to eq line_count(file)
      told = [*result.people, *result.faults].flat_map { |each| each.lines.to_a }
      expect([told.size, told.uniq.size]).to eq [told.uniq.size, result.lines.values_at(:taken, :known, :left_out).sum]
      expect(result.people.map { |person| person.name.downcase }.uniq.size).to eq result.people.size
    end
  end
end
