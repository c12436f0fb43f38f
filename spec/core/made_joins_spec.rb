# frozen_string_literal: true

require "spec_helper"

# Joins that two clean runs to the music have made.
RSpec.describe Core::Running::MadeJoins do
  include CoreBuilders

  # Three links of sixteen counts: the joins lie at 17 and 33.
  let(:work) do
    sections = %w[A B C].each_with_index.map do |name, i|
      rows = Array.new(2) { Core::Piece::Row.new(counts: 8) }
      Core::Piece::Section.new(id: i + 1, name:, choreographer: 9, rows:)
    end
    links = sections.map.with_index { |section, i| Core::Piece::Link.new(section:, id: (i + 1).to_s) }
    Core::Piece::Work.new(title: "Wings", sections:, links:, track: Core::Music::Track.new(tempo: [[1, 120]]))
  end

  def run(kind, *troubles, stretches: [[1, 48]])
    marks = troubles.map { |count| Core::Running::Trouble.new(id: count, count:) }
    Core::Running::Run.new(id: 1, kind: Core::Running::Kind.of(kind), day: Date.new(2027, 1, 1), stretches:,
                           troubles: marks)
  end

  def made(*runs) = described_class.new(runs, work.order).all

  it "takes two runs to the music, clean from an eight before to an eight after" do
    expect(made(run("music"), run("full_out"))).to eq [1, 2]
    others = [[run("music")], [run("music"), run("marked")], [run("slow"), run("stumble")]]
    expect(others.map { |runs| made(*runs) }).to eq [[], [], []]
  end

  it "is undone by trouble within that eight on either side, not beyond it" do
    found = { 8 => [1, 2], 9 => [2], 16 => [2], 24 => [2], 25 => [1], 40 => [1], 41 => [1, 2] }
    expect(found.keys.to_h { |at| [at, made(run("music"), run("music", at))] }).to eq found
  end

  it "is not said of a join at which a run stopped" do
    expect(made(run("music"), run("music", stretches: [[1, 20], [17, 48]]))).to eq [2]
    expect(made(run("music"), run("music", stretches: [[1, 24], [9, 48]]))).to eq [1, 2]
  end

  it "needs no slot in a plan any more" do
    items = Core::Learning::Items.new(work, cast: { 1 => [], 2 => [] })
    kinds = lambda do |made|
      tasks = Core::Planning::Schools::AddOn.new(work, items:, made:).tasks
      tasks.select { |task| task.id.start_with?("join-j") }.map(&:id)
    end
    key = items.of_join(1).key
    expect(kinds.call([])).to include "join-#{key}"
    expect(kinds.call([key])).to eq kinds.call([]) - ["join-#{key}"]
  end
end
