# frozen_string_literal: true

require_relative "mutations"

# What every format that comes in keeps to. Needs: read (bytes => anything, or Formats::FaultyFile raised), sample
# (bytes of a good file). inside: whether parts of an archive are mutated, too.
RSpec.shared_examples "a format that comes in" do |inside: false|
  it "answers 300 spoilt files with what can be read of them, or with sentences about what is wrong" do
    each_case(300) do |random|
      spoilt = inside && random.rand < 0.6 ? Mutations.inside(sample, random) : Mutations.of(sample, random)
      read(spoilt)
    rescue Formats::FaultyFile => e
      expect(e.faults).to all(match(/\A.{3,400}\z/m).and(satisfy { |fault| !fault.include?("\0") }))
      expect(e.faults).not_to be_empty
    end
  end

  it "refuses nothing, noise and a picture" do
    ["", "\0" * 64, "\x89PNG\r\n\x1A\n#{'x' * 200}".b, Random.new(7).bytes(4000)].each do |bytes|
      read(bytes)
    rescue Formats::FaultyFile => e
      expect(e.faults).not_to be_empty
    end
  end
end
