# frozen_string_literal: true

require "web_helper"

# Names on a wall: no more of the last name than tells people apart, and never fewer.
RSpec.describe App::Shared::PostedNames do
  one = Struct.new(:id, :name)

  def shown(people)
    names = described_class.new(people)
    people.map { |person| names.of(person) }
  end

  it "shows the first name and as many letters as tell people apart" do
    people = ["Ada Quill", "Ada Quince", "Ada Rowe", "Zoë van Marsh", "Cher", "Bo Li", "Bo Lin", "Ada"]
      .each_with_index.map { |name, i| one.new(i, name) }
    expect(shown(people)).to eq ["Ada Quil.", "Ada Quin.", "Ada R.", "Zoë M.", "Cher", "Bo Li", "Bo Lin", "Ada"]
  end

  it "tells everybody apart whose names differ" do
    each_case(60) do |random|
      last = -> { Array.new(random.rand(1..4)) { %w[a b].sample(random:) }.join.capitalize }
      all = Array.new(20) { "#{%w[Ada Bo].sample(random:)} #{last.call}" }.uniq
      people = all.each_with_index.map { |name, i| one.new(i, name) }
      expect(shown(people).uniq.size).to eq people.size
    end
  end
end
