# frozen_string_literal: true

require "spec_helper"
require_relative "../../formats/xlsx"
require_relative "../support/format_contract"

# Tables as files for spreadsheets: what is written is read back the same, and no cell becomes a formula.
RSpec.describe "tables" do
  two = [["Zoë Quill", 3, 2.5, Date.new(2027, 3, 20), nil], ["=1+1", 0, -4, nil, "Νίκη"]]

  define_method(:table) do |name: "Who has it", rows: two|
    Formats::Table.new(name:, columns: %w[Name Count Metres Day Note], rows:)
  end

  # A part of a workbook, as it lies in the archive.
  def part(bytes, name)
    Zip::File.open_buffer(StringIO.new(bytes)) { |zip| zip.read(name).force_encoding("UTF-8") }
  end

  describe Formats::Csv do
    it "is read back as it was written, with letters of every kind, and holds no formula" do
      written = described_class.render(table)
      rows = CSV.parse(written.delete_prefix("\uFEFF"))
      expect(written).to start_with "\uFEFF"
      expect(rows).to eq [%w[Name Count Metres Day Note], ["Zoë Quill", "3", "2.5", "2027-03-20", nil],
                          ["'=1+1", "0", "-4", nil, "Νίκη"]]
      expect(described_class.parse(written).map(&:cells).last).to eq ["=1+1", "0", "-4", "", "Νίκη"]
    end
  end

  describe Formats::Xlsx do
    let(:sample) { described_class.render([table, table(name: "Other", rows: [["x"]])]) }

    def read(bytes) = described_class.parse(bytes)

    it_behaves_like "a format that comes in", inside: true

    it "is read back as it was written: names of sheets, headings, numbers and days" do
      first, other = described_class.parse(sample)
      expect([first.name, first.columns]).to eq ["Who has it", %w[Name Count Metres Day Note]]
      expect(first.rows).to eq [["Zoë Quill", "3", "2.5", "2027-03-20", ""], ["=1+1", "0", "-4", "", "Νίκη"]]
      expect([other.name, other.rows]).to eq ["Other", [["x", "", "", "", ""]]]
    end

    it "writes no formula, whatever a cell begins with" do
      nasty = ["=HYPERLINK(\"x\")", "+1", "-1+2", "@SUM(A1)", "{=1}", "\t=1"]
      bytes = described_class.render([table(rows: nasty.zip)])
      expect(part(bytes, "xl/worksheets/sheet1.xml")).not_to include "<f>"
      expect(described_class.parse(bytes).first.rows.map { |row| row.first.strip }).to eq nasty.map(&:strip)
    end

    it "gives every sheet a name that a spreadsheet takes, no two the same" do
      names = ["A/B [1]?", "a" * 40, "a" * 40, "'quoted'", "", "   "]
      read = described_class.parse(described_class.render(names.map { |name| table(name:) })).map(&:name)
      expect(read.uniq(&:downcase).size).to eq names.size
      expect(read).to all(match(%r{\A[^\[\]*?/\\:]{1,31}\z}))
    end

    it "does not unpack what would become too much" do
      bomb = Zip::OutputStream.write_buffer do |out|
        out.put_next_entry("xl/worksheets/sheet1.xml")
        70.times { out.write("0" * 1_048_576) }
      end.string
      expect(bomb.bytesize).to be < 1_000_000
      expect { described_class.parse(bomb) }
        .to raise_error(Formats::FaultyFile) { |e| expect(e.faults).to eq ["the file: unpacks to more than 60 MB"] }
    end

    it "says when a sheet is larger than it reads" do
      many = table(rows: Array.new(5001) { |i| [i] })
      expect { described_class.parse(described_class.render([many])) }
        .to raise_error(Formats::FaultyFile) { |e| expect(e.faults.first).to include "more than 5000 rows" }
    end
  end
end
