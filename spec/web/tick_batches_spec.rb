# frozen_string_literal: true

require "web_helper"

# Ticks that come together are written together, and each is answered for itself.
RSpec.describe Records::Mapping::TickBatches do
  let(:piece) { Struct.new(:id).new(7) }
  let(:written) { Queue.new }

  def entry(person, **more)
    { person_id: person, item_key: "s1", track: "own", layer: nil, covers_person_id: nil, **more }
  end

  def rows(entries) = entries.map { |each| each.slice(:person_id, :item_key, :track, :layer, :covers_person_id) }.uniq

  # The first writing waits until so many others have come.
  def together(batches, people)
    threads = people.map { |person| Thread.new { batches.add(piece, [entry(person)]) } }
    threads.map(&:value)
  end

  it "answers everybody with their own cells, in fewer writings than came" do
    slow = described_class.new do |_, entries|
      written << entries.size
      sleep 0.02
      rows(entries)
    end
    answers = together(slow, (1..30).to_a)
    expect(answers.map { |states| states.pluck(:person_id) }).to eq((1..30).zip)
    expect(written.size).to be < 30
  end

  it "writes each alone where together fails, so that only whoever is wrong is told" do
    picky = described_class.new do |_, entries|
      raise ActiveRecord::StatementInvalid, "no such dancer" if entries.any? { |each| each[:person_id] == 3 }

      rows(entries)
    end
    sending = lambda do |person|
      picky.add(piece, [entry(person)]).size
    rescue ActiveRecord::StatementInvalid => e
      e.message
    end
    answers = (1..5).map { |person| Thread.new { sending.call(person) } }.map(&:value)
    expect(answers).to eq [1, 1, "no such dancer", 1, 1]
  end

  it "goes on after whoever wrote for all was stopped" do
    calls = 0
    broken = described_class.new do |_, entries|
      calls += 1
      raise Interrupt if calls == 1

      rows(entries)
    end
    expect { broken.add(piece, [entry(1)]) }.to raise_error(Interrupt)
    expect(broken.add(piece, [entry(2)]).size).to eq 1
  end
end
