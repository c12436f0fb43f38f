# frozen_string_literal: true

# Figures at the very edge of what they may be, and what is left when one of two things is missing.
RSpec.describe Core do
  it "has eights of one to 64 whole counts" do
    [1, 64].each { |counts| expect(Core::Piece::Row.new(counts:).counts).to eq counts }
    [0, 65, -1, 4.5, "8", nil].each do |counts|
      expect { Core::Piece::Row.new(counts:) }.to raise_error(Core::ValueError, /from 1 to 64/), counts.inspect
    end
  end

  def structure(text) = Core::Piece::StructureReader.new(text).structure
  def counts(text) = structure(text).then { |read| read.links.map { |link| read.counts(link) } }

  it "adds counts to eights, and none where none are said" do
    expect(counts("Comb, 3 eights and 4 counts, Mo\nTail, 2 eights and 0 counts, Mo\nEnd, 2 eights and a tag of 4, Mo"))
      .to eq [28, 16, 20]
  end

  it "hears how many counts a bar has, whichever way it is said" do
    ["4 counts in a bar", "bars are 4 counts", "3 counts to the bar"].each do |said|
      facts = Core::Piece::Listing::Facts.of(said)
      expect(facts[:bar]).to eq(said.start_with?("3") ? 3 : 4), said
    end
    expect(Core::Piece::Listing::Facts.of("a bar of chocolate")[:bar]).to be_nil
  end

  it "calls counts that groups still take behind the last eight as a further eight" do
    late = Core::Piece::Part.new(group: 2, offset: 4)
    parts = [Core::Piece::Part.new(group: 1), late]
    own = Core::Piece::Section.new(id: 1, name: "Canon", rows: rows(8, 8), parts:)
    piece = work(link(own, id: 1))
    counts = Core::Room::Score.new(piece, danced: Core::Piece::Danced.new(piece)).links.first.counts
    expect(counts.map(&:eight).tally).to eq(1 => 8, 2 => 8, 3 => 4)
  end

  it "takes one to four words for a name, and no more letters than fit" do
    names = Core::Piece::Listing::Names
    expect(names.shape("Mo Anna Lena Berg")).to eq :capital
    expect(names.shape("Mo Anna Lena Berg Dahl")).to be_nil
    expect(names.shape("M#{'o' * 79}")).to eq :capital
    expect(names.shape("M#{'o' * 80}")).to be_nil
  end

  it "has the edge of the floor on the floor, a wheelchair with both its wheels" do
    spots = { "left" => [-5.0, 3.0], "right" => [5.01, 3.0], "front" => [0.0, 0.0], "back" => [0.0, 8.01],
              "chair" => [4.65, 3.0], "wheel off" => [4.66, 3.0] }
    at = spots.transform_values { |x, y| Core::Floor::Spot.new(x:, y:) }
    formation = Core::Floor::Formation.new(spots: at)
    expect(formation.off(10, 8, wheels: ["chair", "wheel off"])).to contain_exactly("right", "back", "wheel off")
  end

  it "fades from the day on which a tenth is gone, and not on it" do
    danced = Date.new(2027, 2, 1)
    fresh = Core::Learning::Freshness.new(days: 1, last_danced_on: danced)
    states = [0, 4, 5, 10, 11].map { |days| fresh.on(danced + days) }
    expect(states).to eq %i[fresh fresh fading fading rusty]
    expect(fresh.rusty_on).to eq danced + 11
  end

  it "lays a clip by the mark at the very second, and by the first before it" do
    clock = Core::Running::ClipClock.new(
      [[10, 0], [60, 40]].map { |clip, music| Core::Running::ClipClock::Mark.new(clip:, music:) }, length: 100
    )
    expect([9, 10, 59, 60, 61].map { |clip| clock.music_second(clip) }).to eq [-1.0, 0.0, 49.0, 40.0, 41.0]
    expect([-10, -11, 39, 40, 80, 81].map { |music| clock.clip_second(music) }).to eq [0.0, nil, 49.0, 60.0, 100.0, nil]
  end

  it "does not count on today when it asks what will be rusty" do
    today = Date.new(2027, 2, 10)
    cell = Core::Learning::Cell.new(rung: 4, days: 1, last_danced_on: today - 8)
    gap = Core::Learning::Forecast.new(cell, [today], today:, ends: today + 30).gap
    expect([gap.since, gap.rusty, gap.until]).to eq [today - 8, today + 3, today + 30]
  end

  it "has the top of the ladder at its last rung, and counts as learned from a rung on it" do
    ladder = Core::Learning::Ladder.new(rungs: %w[no shown done], learned_from: 2)
    expect([ladder.top, ladder.learned?(1), ladder.learned?(2)]).to eq [2, false, true]
    expect { Core::Learning::Ladder.new(rungs: %w[no shown done], learned_from: 3) }.to raise_error(Core::ValueError)
  end

  it "says how far a section is written: up to its last eight with words" do
    written = ->(*texts) { section(1).with(rows: texts.map { |text| Core::Piece::Row.new(counts: 8, text:) }).written }
    expect([written.call("step R", "", "step L", " "), written.call("step R"), written.call("", ""), written.call])
      .to eq [3, 1, 0, 0]
  end

  it "words none, one and several" do
    yaml = "en:\n  a: { zero: none, one: one, other: \"%{count}\" }\n  b: { one: one, other: many }"
    words = Formats::Phrases.new(yaml)
    expect([0, 1, 2].map { |count| words.say("a", count:) }).to eq %w[none one 2]
    expect([0, 1, 2].map { |count| words.say("b", count:) }).to eq %w[many one many]
  end

  it "tells those of a roster who are new from those who are there" do
    read = Formats::Roster.parse("Ada\nBram\nCleo", known_people: ["bram"])
    expect([read.fresh, read.known].map { |people| people.map(&:name) }).to eq [%w[Ada Cleo], %w[Bram]]
  end
end
