# frozen_string_literal: true

require "spec_helper"
require "json"

# An evening in the room: its clock, its register, and the score the caller counts.
RSpec.describe Core::Room do
  def minute(text) = Formats::Times.minutes(text)

  describe Core::Room::Timetable do
    corpus = JSON.parse(File.read(File.join(HOUSE, "spec/corpus/evenings.json"), encoding: "UTF-8"))

    def timetable(corpus, one)
      slots = corpus["slots"].fetch(one["slots"]).map do |name, start, minutes, work|
        described_class::Slot.new(id: name, start: minute(start), minutes:, work:, earliest: minute(start))
      end
      steps = one["steps"].map do |kind, slot, at|
        described_class::Step.new(kind:, slot:, minute: minute(at))
      end
      described_class.new(slots, ends: minute("19:30"), now: minute(one["now"]), steps:)
    end

    def off(lines) = lines.to_h { |line| [line.slot.id, line.lost] }

    corpus["cases"].each do |one|
      it "knows: #{one['name']}" do
        evening = timetable(corpus, one)
        lines = evening.lines.map { |line| [line.slot.id, line.start, line.finish, line.state.to_s] }
        wanted = one["lines"].map { |name, from, to, state| [name, minute(from), minute(to), state] }
        expect(lines).to eq(wanted)
        expect(off(evening.off)).to eq(one["off"])
        cuts = Core::Room::ReCuts.new(evening).all.map { |cut| [cut.kind, cut.step.slot, off(cut.off)] }
        expect(cuts).to match_array(one["cuts"])
      end
    end

    it "never cuts below half, and never offers what calls somebody to two places" do
      slot = described_class::Slot
      slots = [slot.new(id: :a, start: 0, minutes: 30), slot.new(id: :b, start: 30, minutes: 12, earliest: 30),
               slot.new(id: :c, start: 42, minutes: 18, earliest: 42, busy: [[68, 90]])]
      late = described_class.new(slots, ends: 60, now: 30, steps: [step("begin", :a, 20)])
      cuts = Core::Room::ReCuts.new(late).all
      expect(late.lines.last.clash).to be(true)
      expect(cuts.map(&:kind)).to include("drop", "shorten")
      expect(cuts.find { |cut| cut.kind == "shorten" }.step.minutes).to be >= 10
      expect(cuts.flat_map { |cut| late.after(cut.step).lines.select(&:clash) }.size).to be <= cuts.size
      expect(cuts.map(&:kind)).not_to include("swap")
    end

    it "works out beforehand what an end at every minute comes to, as it then comes" do
      each_case(40) do |random|
        evening = random_evening(random)
        Core::Room::Outlook.new(evening).all.each do |slot, outcomes|
          outcome = outcomes.sample(random:)
          line = evening.lines.find { |each| each.slot.id == slot }
          begun = line.state == :ahead ? [step("begin", slot, line.start)] : []
          then_ = evening.after(*begun, step("end", slot, outcome.minute), now: outcome.minute)
          expect(outcome.off).to eq(off(then_.off))
          expect(outcome.starts).to eq(then_.starts)
          outcome.cuts.each { |cut| expect(cut.lost).to eq(then_.after(cut.step).lost) }
        end
      end
    end

    def step(kind, slot, at) = described_class::Step.new(kind:, slot:, minute: at)

    def random_evening(random)
      at = 1000
      slots = Array.new(random.rand(2..7)) do |i|
        at += [0, 0, 0, 5, 20].sample(random:)
        minutes = random.rand(2..8) * 5
        slot = described_class::Slot.new(id: i, start: at, minutes:, work: random.rand < 0.8, earliest: at)
        at += minutes
        slot
      end
      now = random.rand(1000..at)
      begun = slots.select { |slot| slot.start <= now }.last(1).select { random.rand < 0.6 }
      steps = begun.map { |slot| step("begin", slot.id, now - random.rand(0..9)) }
      described_class.new(slots, ends: at, now:, steps:)
    end
  end

  describe Core::Room::Register do
    def said(*rows)
      rows.each_with_index.map do |(person, state, at), i|
        Core::Room::Said.new(person:, state:, minute: minute(at), at: i)
      end
    end

    def register(*rows) = described_class.new(said(*rows), called: { ada: 1050, bo: 1050, cy: 1080 }, warm_up: 15)

    it "lets a latecomer in only after warming up, unless somebody says otherwise" do
      late = register([:ada, "present", "17:30"], [:bo, "late", "17:40"])
      expect(late.ready_at(:bo)).to eq(minute("17:55"))
      ticked = %w[17:50 17:55].map { |at| late.ticked(%i[ada bo], minute(at)) }
      expect(ticked).to eq([%i[ada], %i[ada bo]])
      warmed = register([:bo, "late", "17:40"], [:bo, "present", "17:45"])
      expect(warmed.dances?(:bo, minute("17:46"))).to be(true)
      marking = register([:bo, "late", "17:40"], [:bo, "marking", "17:41"])
      expect(marking.dances?(:bo, minute("17:50"))).to be(false)
    end

    it "leaves out whoever rests, marks, left or is absent, and whoever nothing was said of once it has begun" do
      here = register([:ada, "resting", "17:30"], [:bo, "marking", "17:30"])
      expect(here.ticked(%i[ada bo cy], 1100)).to eq([])
      expect([here.in_building?(:ada), here.marks?(:bo), here.dances?(:bo, 1100)]).to all(be(true))
      expect(here.count).to eq(2)
      expect(described_class.new([], called: { ada: 1050 }).ticked([:ada], 1100)).to eq([:ada])
    end

    it "knows who is missing by a minute, and goes by what was said last, not by what came last" do
      expect(register([:ada, "present", "17:30"]).missing(1060)).to eq([:bo])
      rows = said([:ada, "absent", "17:30"], [:ada, "present", "17:40"]).reverse
      expect(described_class.new(rows).state(:ada)).to eq("present")
    end
  end

  describe Core::Room::Score do
    def score(work) = described_class.new(work, danced: Core::Piece::Danced.new(work))
    def track(*tempo) = Core::Music::Track.new(tempo:, first_count_seconds: 2)

    it "puts every count at its second, through tempo changes and half time" do
      slow = section(1, 8, 4)
      half = section(2, 4, time: "half")
      links = score(work(link(slow), link(half), track: track([1, 120], [13, 60]))).links
      expect(links.first.counts.map(&:seconds)).to eq(Array.new(12) { |i| 2 + (i * 0.5) })
      expect(links.last.counts.map(&:seconds)).to eq([8.0, 10.0, 12.0, 14.0])
      expect([links.first.ends, links.last.ends]).to eq([8.0, 16.0])
    end

    it "calls what the line calls, and knows eights, repeats and cues" do
      text = "5 step R 6 close L 7 step R 8 close L 1 kick L 2 hold"
      rows = [Core::Piece::Row.new(counts: 8, text:, name: "Spiral"),
              Core::Piece::Row.new(counts: 4, text: "1 jump", cue: "bell")]
      one = Core::Piece::Section.new(id: 1, name: "Comb", rows:)
      first, second = score(work(link(one), link(one))).links
      expect(first.counts.map(&:called)).to eq([5, 6, 7, 8, 1, 2, 3, 4, 1, 2, 3, 4])
      expect(first.counts.map(&:eight).tally).to eq(1 => 8, 2 => 4)
      expect(first.cues.map { |cue| [cue.count, cue.text] }).to eq([[1, "Spiral"], [9, "bell"]])
      expect([second.occurrence, second.occurrences]).to eq([2, 2])
    end

    it "counts on until the last group of a canon is done, and says what each does" do
      parts = [Core::Piece::Part.new(group: "a", offset: 0), Core::Piece::Part.new(group: "b", offset: 4)]
      canon = section(1, 8, parts:)
      made = score(work(link(canon), groups: [%w[a A], %w[b B]])).links.first
      expect(made.counts.size).to eq(12)
      expect(made.lanes["b"]).to eq([[1, 4, :off], [5, 12, :moving]])
    end
  end
end
