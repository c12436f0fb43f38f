# frozen_string_literal: true

require "spec_helper"

# Questions from a piece's own chain, held against the chain by another way of reading it.
RSpec.describe Core::Running::Memory do
  # A piece as letters: "A" a section, "a" the same on the other side, "A*" with changes.
  def order(letters)
    sections = letters.map { |letter| letter[0].upcase }.uniq.each_with_index.to_h do |letter, i|
      rows = Array.new(2) { Core::Piece::Row.new(counts: 8) }
      [letter, Core::Piece::Section.new(id: i + 1, name: letter, rows:)]
    end
    links = letters.each_with_index.map { |letter, i| link(sections[letter[0].upcase], letter, i) }
    Core::Piece::Work.new(title: "P", sections: sections.values, links:).order
  end

  def link(section, letter, place)
    changes = Core::Piece::Changes.new(replace: { 2 => Core::Piece::Row.new(counts: 8, text: "1 step R") })
    Core::Piece::Link.new(section:, id: (place + 1).to_s, mirrored: letter[0] != letter[0].upcase,
                          changes: letter.end_with?("*") ? changes : Core::Piece::Changes::NONE)
  end

  # Whether a choice is right, read from the letters alone.
  def right?(letters, question, choice, exits)
    chain = ["|", *letters, "|"]
    place = question.about.first
    case question.kind
    when :after then chain[choice] == chain[place + 1]
    when :before then chain[choice] == chain[place - 1]
    when :ends_on then exits[place] == choice
    when :which then odd?(letters, question, letters[choice - 1])
    end
  end

  # It is asked for the one time with changes; where there is none, for the one on the other side.
  def odd?(letters, question, letter)
    same = question.choices.map { |choice| letters[choice - 1] }
    same.any? { |one| one.end_with?("*") } ? letter.end_with?("*") : letter != letter.upcase
  end

  def made_up(random)
    letters = Array.new(random.rand(1..12)) { %w[A B C D a b A* B*].sample(random:) }
    exits = letters.each_index.to_h { |i| [i + 1, [:left, :right, :both, nil].sample(random:)] }
    [letters, exits]
  end

  it "has one right answer to every question, by another reading of the chain" do
    asked = each_case(200) do |random|
      letters, exits = made_up(random)
      described_class.new(order(letters), exits:).all(random:).each do |question|
        right = question.choices.select { |choice| right?(letters, question, choice, exits) }
        expect([letters, question.kind, right]).to eq [letters, question.kind, [question.answer]]
        expect(question.choices.uniq).to eq question.choices
        expect(question.choices.size).to be_between(2, [letters.size, 3].max)
      end
    end
    expect(asked).not_to be_zero
  end

  it "asks both ways, of the time that is different, and of nothing that is not known" do
    questions = described_class.new(order(%w[A B A* C]), exits: { 1 => :left, 2 => nil }).all
    said = questions.map { |question| [question.kind, question.about.first, question.answer] }
    expect(said).to include([:after, 1, 2], [:before, 1, 0], [:after, 4, 5], [:which, 3, 3], [:ends_on, 1, :left])
    expect(said.map(&:first).tally).to eq(after: 4, before: 4, which: 1, ends_on: 1)
    expect(questions.find { |question| question.kind == :after && question.about == [1] }.join).to eq 1
    which = ->(letters) { described_class.new(order(letters)).all.select { |one| one.kind == :which }.map(&:answer) }
    expect([which[%w[A a A]], which[%w[A a A* a]], which[%w[A a a]], which[%w[A A]]]).to eq [[2], [3], [], []]
    expect(described_class.new(order(%w[A]), exits: {}).all).to be_empty
  end

  it "begins with a sure one, goes on with the least sure, and asks five at the most" do
    each_case(60) do |random|
      letters, exits = made_up(random)
      sure = ->(question) { (question.about.first * 37 % 11) / 11.0 }
      memory = described_class.new(order(letters), exits:)
      all = memory.all(random:)
      round = memory.round(sure:, random:)
      expect(round.size).to eq [all.size, 5].min
      next if all.size < 2

      levels = round.map(&sure)
      expect(levels.first).to eq all.map(&sure).max
      expect(levels.drop(1)).to eq levels.drop(1).sort
      expect(levels.drop(1)).to eq all.map(&sure).sort.first(levels.size - 1)
      some = memory.all(among: [1], random:)
      expect(some.map { |question| question.about.first }.uniq).to eq [1]
    end
  end
end
