# frozen_string_literal: true

require "spec_helper"
require_relative "../support/format_contract"

# Count sheets as people keep them: every line becomes an eight, names the next one, or is left out with a reason.
RSpec.describe Formats::CountSheet do
  def rows(text) = described_class.parse(text).rows.map { |row| [row.counts, row.text, row.cue, row.name] }
  def left_out(text) = described_class.parse(text).left_out

  it "reads lines as they are written by hand" do
    text = <<~TEXT
      VERSE:
      1. step R, close L [breathe]
      Eight 2: 1 step L 2 kick R cue: bell

      8x3: (4) hold
      4 counts: turn right
      # Chorus
      1 step R 2 step L
      12) walk walk
    TEXT
    expect(rows(text)).to eq [
      [nil, "step R, close L", "breathe", "VERSE"], [nil, "1 step L 2 kick R", "bell", ""], [4, "hold", "", ""],
      [4, "turn right", "", ""], [nil, "1 step R 2 step L", "", "Chorus"], [nil, "walk walk", "", ""]
    ]
  end

  it "leaves what is a count alone" do
    expect(rows("1 step R 2 close L\n5-6-7-8 clap\n3& jump")).to eq [
      [nil, "1 step R 2 close L", "", ""], [nil, "5-6-7-8 clap", "", ""], [nil, "3& jump", "", ""]
    ]
  end

  it "reads a grid of counts, with and without headings, of any number of counts" do
    grid = "\t1\t2\t3\t4\t5\t6\t7\t8\tCue\n1\tstep R\t\tclose L\t-\tkick R\t\t\tclap\tbell\n2\t\tjump\n"
    expect(rows(grid)).to eq [[8, "1 step R 3 close L 5 kick R 8 clap", "bell", ""], [8, "2 jump", "", ""]]
    expect(rows("1\tstep R\tclose L\tstep L\n2\thop\t\t1 & clap")).to eq [
      [3, "1 step R 2 close L 3 step L", "", ""], [3, "1 hop 1 & clap", "", ""]
    ]
    expect(rows("step R\tclose L\thop\tland\tturn\twalk")).to eq [
      [6, "1 step R 2 close L 3 hop 4 land 5 turn 6 walk", "", ""]
    ]
  end

  it "finds the columns of a table by their headings, in any order" do
    table = "Counts\tCue\tMovement\tName\n4\tbell\t1 step R\tOpening\n\t\t1-8 walk\t\n99\t\tjump\t\n"
    expect(rows(table)).to eq [[4, "1 step R", "bell", "Opening"], [nil, "1-8 walk", "", ""]]
    expect(left_out(table)).to eq [[4, "jump", :counts]]
    expect(rows("1\t1 step R 2 close L\n2\t1 hop")).to eq [[nil, "1 step R 2 close L", "", ""], [nil, "1 hop", "", ""]]
  end

  it "accounts for every line that is not empty" do
    parts = ["step R", "1 step L", "[cue]", "VERSE:", "\t", "\t1\t2\t3", "x" * 1100, "#", "(4)",
             "99 counts: jump", "ë"]
    each_case(200) do |random|
      text = Array.new(random.rand(1..30)) { parts.sample(random.rand(0..3), random:).join(" ") }.join("\n")
      found = described_class.parse(text)
      told = found.rows.map(&:line) + found.left_out.map(&:first)
      expect(told.uniq.size).to eq told.size
      expect(found.rows).to all(satisfy { |row|
        row.text.size <= 1000 && (row.counts.nil? || row.counts.between?(1, 64))
      })
    end
    many = described_class.parse("step R\n" * 260)
    expect([many.rows.size, many.left_out.map(&:last).tally]).to eq [200, { too_many: 60 }]
  end

  describe "a spoilt file" do
    let(:sample) { "\t1\t2\t3\n1\tstep R\tclose L\thop\n" }

    def read(bytes) = described_class.parse(bytes)

    it_behaves_like "a format that comes in"
  end
end
