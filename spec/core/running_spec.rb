# frozen_string_literal: true

require "spec_helper"
require "json"

# Runs: where trouble starts, what went well, what is drilled, what a run says of whoever danced it, notes and clips.
RSpec.describe Core::Running do
  corpus = JSON.parse(File.read(File.join(HOUSE, "spec/corpus/runs.json"), encoding: "UTF-8"))
  cast = { 1 => [:scouts], 2 => [:scouts], 3 => [:nurses], 4 => [:nurses], 5 => [], 6 => [], 7 => [] }

  def sections(piece)
    piece["sections"].each_with_index.to_h do |(name, eights), i|
      rows = Array.new(eights) { Core::Piece::Row.new(counts: 8) }
      [name, Core::Piece::Section.new(id: i + 1, name:, rows:)]
    end
  end

  def work(piece = { "sections" => { "A" => 2, "B" => 2 }, "links" => %w[A B A] })
    own = sections(piece)
    links = piece["links"].map.with_index { |name, i| Core::Piece::Link.new(section: own[name], id: (i + 1).to_s) }
    track = Core::Music::Track.new(tempo: [[1, 120]])
    Core::Piece::Work.new(title: "Wings", sections: own.values, links:, track:)
  end

  def count(eights, place)
    link, row, at = place.split(".").map(&:to_i)
    eights.count_of(link, row, ((at || 1) - 1) * 12)
  end

  def run_of(eights, one, number)
    stretches = one["stretches"].map { |from, to| [count(eights, from), count(eights, "#{to}.8")].map(&:to_i) }
    troubles = one["troubles"].each_with_index.map do |(place, kind, whose), i|
      groups = whose ? [whose.downcase.to_sym] : []
      described_class::Trouble.new(id: "#{number}-#{i}", count: count(eights, place), kind:, groups:)
    end
    described_class::Run.new(id: number, kind: described_class::Kind.of("stumble"), day: Date.new(2027, 1, number + 1),
                             stretches:, troubles:)
  end

  corpus["cases"].each do |one|
    it "knows: #{one['name']}" do
      piece = work(corpus["piece"])
      eights = described_class::Eights.new(piece.order)
      runs = one["runs"].each_with_index.map { |run, i| run_of(eights, run, i) }
      spots = described_class::Spots.new(eights, runs)
      verdicts = runs.last.troubles.map { |trouble| spots.verdict(runs.last, trouble) }
      said = verdicts.map { |each| [each.verdict.to_s, (each.join if each.verdict != :section), each.why.to_s] }
      expect(said).to eq one["verdicts"]
      clean = described_class::CleanStretches.new(runs.last).longest
      from, to, counts = one["clean"]
      expect([clean.from, clean.to, clean.counts]).to eq [count(eights, from), count(eights, to), counts]
      wanted = one["drills"]
      drills = described_class::Drills.new(spots, runs:, eights:, cast:, in_link: ->(_) { cast.keys }).all
      place = ->(eight) { eight.place.join(".") }
      found = drills.map { |one| [place[one.from], place[one.to], one.repetitions, one.minutes] }
      expect(found).to match_array wanted
    end
  end

  it "lays every count of every piece in one eight, and finds it again by its place" do
    each_case(30) do |random|
      names = %w[A B C D].first(random.rand(1..4))
      piece = { "sections" => names.to_h { |name| [name, random.rand(1..6)] },
                "links" => Array.new(random.rand(1..8)) { names.sample(random:) } }
      order = work(piece).order
      eights = described_class::Eights.new(order)
      expect(eights.all.flat_map { |eight| (eight.from..eight.to).to_a }).to eq (1..order.total_counts).to_a
      at = random.rand(1..order.total_counts)
      link, row, number = eights.place_of(at)
      expect(eights.count_of(link, row, (number - 1) * 12)).to eq at
      expect(eights.second_of(at)).to be_within(1e-6).of((at - 1) * 0.5)
      expect([eights.at(0), eights.at(order.total_counts + 1)]).to eq [nil, nil]
    end
  end

  it "counts every count of a stretch once: in a clean stretch, or as a spot" do
    each_case(40) do |random|
      eights = described_class::Eights.new(work(corpus["piece"]).order)
      from = random.rand(1..80)
      to = from + random.rand(0..60)
      troubles = Array.new(random.rand(0..6)) do |i|
        described_class::Trouble.new(id: i, count: Rational(random.rand(12..(150 * 12)), 12))
      end
      run = described_class::Run.new(id: 1, kind: described_class::Kind.of("marked"), day: Date.new(2027, 1, 1),
                                     stretches: [[from, to]], troubles:)
      clean = described_class::CleanStretches.new(run).all
      wrong = run.troubles_in(from, to).map { |trouble| trouble.count.floor }.uniq
      expect((clean.flat_map { |each| (each.from..each.to).to_a } + wrong).sort).to eq (from..to).to_a
      expect(eights.total).to eq 152
    end
  end

  describe described_class::Danced do
    let(:piece) { work }
    let(:eights) { Core::Running::Eights.new(piece.order) }
    let(:items) { Core::Learning::Items.new(piece, cast: people) }
    let(:people) { { 1 => [:scouts], 2 => [:nurses], 3 => [:nurses] } }

    def said(stretches, troubles, **more)
      run = Core::Running::Run.new(id: 1, kind: Core::Running::Kind.of("music"), day: Date.new(2027, 1, 1), stretches:,
                                   troubles:)
      found = described_class.new(items, eights, cast: people).of(run, dancers: [1, 2], **more)
      found.group_by(&:last).transform_values { |pairs| pairs.map(&:first) }
    end

    def trouble(count, **more) = Core::Running::Trouble.new(id: count, count:, **more)

    it "says it of whoever was there of what was danced whole, joins included" do
      first, second = items.all.select { |item| item.kind == :join }.map(&:key)
      expect(said([[1, 48]], [])).to eq("s1" => [1, 2], "s2" => [1, 2], first => [1, 2], second => [1, 2])
      expect(said([[1, 20]], [])).to eq("s1" => [1, 2])
      expect(said([[1, 24], [25, 48]], [])).to eq("s1" => [1, 2], first => [1, 2], second => [1, 2])
    end

    it "leaves out whom something was noted of, and everybody where it is not known whom" do
      expect(said([[1, 16]], [trouble(5, groups: [:nurses])])).to eq("s1" => [1])
      expect(said([[1, 16]], [trouble(5)])).to eq({})
      expect(said([[1, 16]], [], noted: { 1 => [5] })).to eq("s1" => [2])
      expect(said([[1, 16]], [], noted: { 1 => [40] })).to eq("s1" => [1, 2])
      expect(said([[1, 16]], [trouble(5, everyone: true)])).to eq({})
    end
  end

  it "was danced at the rung it was danced at, not at the one it was called" do
    danced = ->(name, speed, music) { described_class::Kind.of(name).danced_at(speed:, music:) }
    expect(danced["music", 100, true]).to eq "music"
    expect(danced["music", 100, false]).to eq "tempo"
    expect(danced["full_out", 70, true]).to eq "slow"
    expect(danced["without_cues", 100, true]).to eq "unprompted"
    expect(danced["stumble", 100, true]).to eq "slow"
    expect { described_class::Kind.of("gala") }.to raise_error(Core::ValueError, /stumble, marked/)
    expect { described_class::Trouble.new(id: 1, count: 1, kind: "boring") }.to raise_error(Core::ValueError, /forgot/)
  end

  describe described_class::NotesRound do
    def note(id, count: nil, person: nil, text: "soft knees please", place: nil, given: 0, open: true)
      described_class::Note.new(id:, count:, person:, text:, place:, given:, open:)
    end

    it "gives everyone's first, in piece order, then individuals', and says how long it takes" do
      notes = [note(1, count: 90, person: 2), note(2, count: 40), note(3), note(4, count: 9, person: 1),
               note(5, count: 2, open: false)]
      round = described_class.new(notes)
      expect(round.order.map(&:id)).to eq [3, 5, 2, 4, 1]
      expect(round.halves.map { |half| half.map(&:id) }).to eq [[3, 2], [4, 1]]
      expect(round.minutes).to eq 2 # 2 x 20 + 2 x 12 s, and four times three words at two and a half a second
      expect(described_class.new([]).minutes).to eq 0
    end

    it "makes a third time a cleaning slot, whoever wrote the same words of the same place" do
      same = [note(1, count: 9, place: [1, 2], given: 2, text: "Late on 8!"),
              note(2, count: 9, place: [1, 2], given: 1, text: "late on 8"),
              note(3, count: 9, place: [1, 2], given: 2, text: "late on 7"),
              note(4, count: 9, place: [1, 2], given: 2, text: "late on 8", person: 5), note(5, given: 7)]
      expect(described_class.new(same).cleaning.map { |one, times| [one.id, times] }).to eq [[2, 3]]
    end
  end

  describe described_class::ClipClock do
    def mark(clip, music) = described_class::Mark.new(clip:, music:)

    it "opens every count at its second, at the speed that was danced, and back" do
      clock = described_class.new([mark(10.0, 4.0)], speed: 50, length: 60)
      expect([clock.clip_second(4.0), clock.clip_second(9.0), clock.clip_second(0.0)]).to eq [10.0, 20.0, 2.0]
      expect([clock.clip_second(-2.0), clock.clip_second(40.0)]).to eq [nil, nil]
      expect(clock.music_second(20.0)).to eq 9.0
      expect(described_class.new([]).clip_second(1)).to be_nil
    end

    it "goes by the last mark before, where a run was stopped" do
      clock = described_class.new([mark(5.0, 0.0), mark(40.0, 20.0)])
      expect([clock.clip_second(10.0), clock.clip_second(22.0)]).to eq [15.0, 42.0]
    end
  end

  describe described_class::DrillPlace do
    def slot(id, start, finish, people, work: true, room: 1, links: [])
      described_class::Slot.new(id:, start:, finish:, room:, people:, links:, work:)
    end

    def where(slots, people, minutes, links = [2])
      found = described_class.new(slots).find(people:, minutes:, links:)
      found && [found.kind, found.start, found.slot&.id]
    end

    it "takes free minutes while everybody is there anyway, after they are warm" do
      slots = [slot(:warm, 0, 15, [1, 2], work: false), slot(:a, 15, 45, [1, 2]), slot(:b, 60, 90, [1, 2])]
      expect(where(slots, [1, 2], 10)).to eq [:free, 45, nil]
      expect(where(slots, [1, 2], 15)).to eq [:free, 45, nil]
      expect(where(slots, [1, 2], 16, [9])).to be_nil
    end

    it "else goes into a slot that has them all, the one that dances it first, and never takes more than half" do
      slots = [slot(:a, 15, 75, [1, 2, 3]), slot(:b, 75, 105, [1, 2], links: [2])]
      expect(where(slots, [1, 2], 10)).to eq [:inside, 75, :b]
      expect(where(slots, [1, 3], 10)).to eq [:inside, 15, :a]
      expect(where(slots, [1, 2], 20)).to eq [:inside, 15, :a]
      expect(where(slots, [1, 4], 10)).to be_nil
      expect(described_class.new(slots).absent([1, 4])).to eq [4]
    end
  end
end
