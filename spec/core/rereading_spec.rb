# frozen_string_literal: true

require "spec_helper"

RSpec.describe Core::Piece::Rereading do
  include CoreBuilders

  let(:known) { Core::Movement::Vocabulary::DEFAULT }

  def words(name, like) = Core::Movement::Vocabulary.new(own: [known.find(like).with(name:, aliases: [])])

  def work_of(*texts)
    rows = texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }
    section = Core::Piece::Section.new(id: 1, name: "Gate", rows:)
    Core::Piece::Work.new(title: "P", sections: [section], links: [Core::Piece::Link.new(section:)])
  end

  def changed(work, after, **more)
    described_class.new(work, before: known, after:, **more).all.map { |each| [each.eight, each.text] }
  end

  it "finds a word that was kept as written, and a known step that would be done otherwise" do
    work = work_of("1 wiggle", "1 step R 3 clap", "1 pivot")
    expect(changed(work, words("wiggle", "hip"))).to eq [[1, "1 wiggle"]]
    expect(changed(work, words("clap", "jump"))).to eq [[2, "1 step R 3 clap"]]
    expect(changed(work, words("zip", "jump"))).to eq []
  end

  it "reads repeats with changes, and versions" do
    work = work_of("1 step R", "1 step L")
    changes = Core::Piece::Changes.new(replace: { 2 => Core::Piece::Row.new(counts: 8, text: "1 wiggle") })
    altered = work.with(links: [Core::Piece::Link.new(section: work.sections.first, changes:)])
    versions = { 1 => [Core::Piece::Version.new(kind: "seated", eights: { 1 => "1 wiggle 2 clap" })] }
    expect(changed(altered, words("wiggle", "hip"), versions:)).to eq [[2, "1 wiggle"], [1, "1 wiggle 2 clap"]]
  end
end
