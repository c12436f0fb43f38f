# frozen_string_literal: true

require "web_helper"

# Whose name a stretch of a text is: properties over made-up names that share parts, and the letters of all kinds.
RSpec.describe App::People::Erasing::Names do
  let(:parts) { %w[Ada Bram Zoë Quill Quillan Ad Adam O'Neil Mo Île Straße Ann] }

  def person(random) = Array.new(random.rand(1..2)) { parts.sample(random:) }.uniq.join(" ")

  # The name as somebody might write it.
  def written(name, random)
    forms = [name, name.upcase, name.downcase, name.unicode_normalize(:nfd), name.gsub(" ", "  "), name.tr("'", "’")]
    forms.sample(random:)
  end

  def text(names, random)
    joins = [" ", ", ", ". ", " and ", "'s ", "; \"", "-", "\n", "(", ")"]
    Array.new(random.rand(1..8)) { [names.sample(random:), joins.sample(random:)] }
      .flat_map { |name, join| [written(name, random), join] }.join
  end

  def stretches(name, text) = App::People::Erasing::Name.new(name).stretches(text)

  it "takes out every name that is the person's, and changes no other name and no title" do
    each_case(400) do |random|
      mine = person(random)
      others = Array.new(3) { person(random) }.uniq - [mine]
      titles = ["#{parts.sample(random:)} Suite", "Solo #{mine}"].first(random.rand(0..2))
      names = described_class.new([mine], others:, titles:)
      before = text([mine, *others, *titles, "walks", "Adams"], random)
      after = before.dup
      meant = names.meant(before)
      meant.reverse_each { |each| after[each.range] = "\u0001" }
      longer = (others + titles).reject { |other| App::People::Erasing::Name.new(mine).same?(other) }
        .select { |other| stretches(mine, other).any? }
      longer.each { |other| expect(stretches(other, after).size).to eq stretches(other, before).size }
      hidden = longer.flat_map { |other| stretches(other, after) }
      left = stretches(mine, after).reject { |range| hidden.any? { |each| each.cover?(range) } }
      expect(left).to be_empty
      expect(meant.map { |each| each.range.begin }).to eq meant.map { |each| each.range.begin }.sort
      sure = meant.select(&:sure).reject(&:single)
      expect(sure).to be_empty if others.any? { |other| App::People::Erasing::Name.new(mine).same?(other) }
    end
  end

  it "reads letters as they are written anywhere" do
    names = described_class.new(["Zoë O'Neil"], others: [], titles: [])
    ["ZOË O'NEIL", "zoe\u0308 o’neil.", "\"Zoë  O'Neil\"", "Zoë\u00a0O'Neil's", "[Zoë O'Neil]"].each do |written|
      expect(names.meant(written).map { |each| each.range.size }).to all(be >= 10)
      expect(names.meant(written).size).to eq(1), written
    end
    expect(names.meant("Zoës O'Neill, Zoëy O'Neil2").map(&:single)).to eq []
  end
end
