# frozen_string_literal: true

# What Ruby and the device both work out of an evening, on the same worked cases (spec/scripts/evening.test.js).
RSpec.describe Core::Room do
  cases = JSON.parse(File.read(File.expand_path("../corpus/evening_cases.json", __dir__), encoding: "UTF-8"))

  cases["laid"].each do |given|
    it "lays an evening: #{given['called']}" do
      slots = given["slots"].map { |id, start, minutes| Core::Room::Timetable::Slot.new(id:, start:, minutes:) }
      steps = given["steps"].map do |kind, slot, minute, minutes|
        Core::Room::Timetable::Step.new(kind:, slot:, minute:, minutes:)
      end
      table = Core::Room::Timetable.new(slots, ends: 1200, now: given["now"], steps:)
      laid = table.lines.map { |line| [line.slot.id, line.start, line.finish, line.state.to_s] }
      expect(laid).to eq given["lines"]
    end
  end

  it "says whose a tick for all is, and from when somebody dances who came late" do
    cases["dances"].each do |given|
      said = given["said"].each_with_index.map { |(state, minute), at| said(7, state, minute, at) }
      said << said(8, "present", 1080, 99) if given["others"]
      register = Core::Room::Register.new(said)
      expect([register.ticked([7], given["minute"]).any?, register.ready_at(7)])
        .to eq(given.values_at("dances", "ready")), given.inspect
    end
  end

  def said(person, state, minute, at) = Core::Room::Said.new(person:, state:, minute:, at:)

  it "lets everybody come back to their places for as long, whoever counts the minutes of a pass" do
    cases["passes"].each do |given|
      reset = Core::Planning::Estimate.reset_seconds(given["people"])
      expect([reset, ((given["seconds"] + reset) / 30.0).ceil / 2.0]).to eq given.values_at("reset", "minutes")
    end
  end

  it "leads in with as many clicks as the device calls" do
    cases["leads"].each do |given|
      piece = work(link(section(1, 8), id: 1))
      score = Core::Room::Score.new(piece, danced: Core::Piece::Danced.new(piece))
      clicks = Core::Room::Practice.new(score, from: 1, to: 1, count_in: given["beats"]).clicks
      expect(clicks.count { |click| click.kind == :lead }).to eq given["called"].size
    end
  end
end
