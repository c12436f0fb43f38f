# frozen_string_literal: true

require "spec_helper"

# What the core says of runs, held against other ways of working it out, in random pieces and runs.
RSpec.describe Core::Running do
  running = described_class
  groups = %i[scouts nurses builders]

  # A piece whose eights have odd lengths, with groups that enter later, altered and mirrored repeats.
  def made_up(random)
    sections = Array.new(random.rand(1..4)) { |i| section(random, i + 1) }
    links = Array.new(random.rand(1..7)) do |i|
      Core::Piece::Link.new(section: sections.sample(random:), id: (i + 1).to_s, mirrored: random.rand < 0.2,
                            changes: random.rand < 0.2 ? changes : Core::Piece::Changes::NONE)
    end
    track = Core::Music::Track.new(tempo: [[1, 100], [33, 140]], first_count_seconds: 1.5)
    Core::Piece::Work.new(title: "P", sections:, links:, track:, groups: [[:scouts, "Scouts"], [:nurses, "Nurses"]])
  end

  def section(random, id)
    rows = Array.new(random.rand(1..5)) { Core::Piece::Row.new(counts: [8, 8, 8, 6, 10, 4].sample(random:)) }
    parts = [Core::Piece::Part.new(group: :scouts, offset: [0, 4].sample(random:)),
             Core::Piece::Part.new(group: :nurses, offset: [0, 8].sample(random:))]
    Core::Piece::Section.new(id:, name: "S#{id}", rows:, parts: random.rand < 0.3 ? parts : [])
  end

  def changes = Core::Piece::Changes.new(insert_after: { 1 => [Core::Piece::Row.new(counts: 4, text: "1 step R")] })

  def random_run(random, total, id: 1, troubles: random.rand(0..8))
    from = random.rand(1..total)
    to = random.rand(from..total)
    stop = random.rand(from..to)
    stretches = random.rand < 0.5 ? [[from, to]] : [[from, stop], [[stop - 8, 1].max, to]]
    found = Array.new(troubles) { |i| random_trouble(random, total, "#{id}-#{i}") }
    Core::Running::Run.new(id:, kind: Core::Running::Kind.of("music"), day: Date.new(2027, 1, 1), stretches:,
                           troubles: found)
  end

  def random_trouble(random, total, id)
    group = GROUPS.sample(random:)
    who = [{}, { everyone: true }, { groups: [group] }, { people: [random.rand(1..6)] }].sample(random:)
    Core::Running::Trouble.new(id:, count: Rational(random.rand(12..((total * 12) + 11)), 12), **who,
                               kind: [nil, *Core::Running::Trouble::KINDS].sample(random:))
  end

  before { stub_const("GROUPS", groups) }

  let(:cast) do
    { 1 => %i[scouts], 2 => %i[scouts], 3 => %i[nurses], 4 => %i[nurses builders], 5 => %i[builders], 6 => [] }
  end

  it "cuts every piece into eights that lie one after the other, lateness of groups and changes included" do
    each_case(80) do |random|
      order = made_up(random).order
      eights = running::Eights.new(order)
      expect(eights.all.flat_map { |eight| (eight.from..eight.to).to_a }).to eq (1..order.total_counts).to_a
      order.links.each do |placed|
        own = eights.of_link(placed.index)
        expect(own.size).to eq placed.link.danced.size
        expect(eights.span(placed.index)).to eq(placed.start_count..placed.end_count)
        last = eights.count_of(placed.index, own.size, 12 * 64)
        expect(last.floor).to eq placed.end_count
      end
      at = random.rand(1..order.total_counts)
      placed = order.link_at(at)
      beat = placed.start_beat + ((at - placed.start_count) * placed.section.beats_per_count)
      map = Core::Music::TempoMap.new([[1, 100], [33, 140]], first_seconds: 1.5)
      expect(eights.second_of(at)).to be_within(1e-6).of(map.seconds_at(beat))
    end
  end

  it "names a culprit only for what tells: never both, never a join that was not danced, never before the run began" do
    each_case(120) do |random|
      eights = running::Eights.new(made_up(random).order)
      runs = Array.new(random.rand(1..4)) { |i| random_run(random, eights.total, id: i) }
      blame = running::Blame.new(eights, runs)
      runs.each do |run|
        run.troubles.each do |trouble|
          found = blame.of(run, trouble)
          expect(found.verdict).to eq(:join).or(eq(:section)).or(eq(:unclear))
          expect(found.from).to be <= trouble.count
          next unless found.verdict == :join

          expect(found.join).to be_between(1, eights.all.last.link - 1)
          expect(found.why).to eq(:kind).or(eq(:elsewhere_well))
          expect(found.times).to be >= running::Blame::ENOUGH if found.why == :elsewhere_well
        end
      end
    end
  end

  it "tallies each trouble spot once by eight, and counts no more runs with trouble than danced it" do
    each_case(80) do |random|
      eights = running::Eights.new(made_up(random).order)
      runs = Array.new(random.rand(1..4)) { |i| random_run(random, eights.total, id: i) }
      spots = running::Spots.new(eights, runs)
      expect(spots.all.sum { |spot| spot.troubles.size }).to eq(runs.sum { |run| run.troubles.size })
      expect(spots.by_run.values.sum { |places| places.values.sum }).to eq(runs.sum { |run| run.troubles.size })
      spots.all.each { |spot| expect(spot.runs.size).to be_between(1, spot.danced) }
      spots.seams.each { |seam| expect(seam.runs).to be_between(1, seam.danced) }
      expect(spots.all.map { |spot| spot.eight.place }).to eq spots.all.map { |spot| spot.eight.place }.sort
    end
  end

  it "drills every spot that is not settled once, from one eight before to one after, with whoever is needed" do
    each_case(80) do |random|
      eights = running::Eights.new(made_up(random).order)
      runs = Array.new(random.rand(1..5)) { |i| random_run(random, eights.total, id: i, troubles: random.rand(0..3)) }
      spots = running::Spots.new(eights, runs)
      drills = running::Drills.new(spots, runs:, eights:, cast:, in_link: ->(_) { cast.keys }).all
      drilled = drills.flat_map(&:spots)
      settled = (spots.all - drilled).map(&:eight)
      expect(drilled.uniq.size).to eq drilled.size
      settled.each do |eight|
        last = runs.select { |run| run.danced?(eight.from, eight.to) }.last(2)
        expect([last.size, last.sum { |run| run.troubles_in(eight.from, eight.to).size }]).to eq [2, 0]
      end
      drills.each do |drill|
        first, last = drill.spots.map(&:eight).values_at(0, -1)
        expect([drill.from, drill.to]).to eq [eights.before(first) || first, eights.after(last) || last]
        named = drill.spots.flat_map(&:troubles).map { |trouble| trouble.who(cast) }
        unknown = named.any?(&:nil?) || named.flatten.empty?
        expect(drill.dancers).to match_array(unknown ? cast.keys : named.flatten.uniq)
        expect(drill.minutes).to be_positive
      end
    end
  end

  it "says of nobody that they danced what they did not: by looking at every count" do
    each_case(80) do |random|
      work = made_up(random)
      eights = running::Eights.new(work.order)
      items = Core::Learning::Items.new(work, cast:)
      run = random_run(random, eights.total, troubles: random.rand(0..4))
      here = cast.keys.select { random.rand < 0.7 }
      said = running::Danced.new(items, eights, cast:).of(run, dancers: here)
      expect(said.uniq.size).to eq said.size
      said.each do |person, key|
        item = items.all.find { |each| each.key == key }
        expect(here & items.dancers(item)).to include person
        expect(danced_well?(run, eights, item, person)).to be(true), "#{key} #{person}"
      end
    end
  end

  # Some place of the item was danced count by count in one stretch, and in none of its danced places anything was said
  # of this person, or of nobody known.
  def danced_well?(run, eights, item, person)
    places = item.links.map { |link| counts_of(eights, item, link) }
    danced = places.select do |counts|
      run.stretches.any? { |from, to| counts.all? { |count| count.between?(from, to) } }
    end
    wrong = run.troubles.select { |trouble| danced.any? { |counts| counts.include?(trouble.count.floor) } }
    danced.any? && wrong.none? { |trouble| trouble.who(cast).nil? || trouble.who(cast).include?(person) }
  end

  def counts_of(eights, item, link)
    return eights.of_link(link).flat_map { |eight| (eight.from..eight.to).to_a } unless item.kind == :join

    [eights.of_link(link).last, eights.of_link(link + 1).first].flat_map { |eight| (eight.from..eight.to).to_a }
  end

  it "puts a drill only where everybody is anyway, in nothing else, and never takes more than half of a slot" do
    found = 0
    each_case(200) do |random|
      slots = random_evening(random)
      people = (1..6).to_a.sample(random.rand(1..3), random:)
      minutes = random.rand(1..5) * 5
      place = running::DrillPlace.new(slots)
      answer = place.find(people:, minutes:, links: [random.rand(1..4)]) or next
      found += 1
      calls = people.map { |person| slots.select { |slot| slot.people.include?(person) } }
      expect(calls).to all(be_any)
      if answer.kind == :inside
        expect(answer.slot.people & people).to match_array people
        expect(minutes * 2).to be <= answer.slot.minutes
      else
        finish = answer.start + minutes
        calls.each { |own| expect(answer.start).to be >= own.map(&:start).min }
        calls.each { |own| expect(finish).to be <= own.map(&:finish).max }
        busy = slots.select { |slot| slot.start < finish && answer.start < slot.finish }
        expect(busy.select { |slot| slot.people.intersect?(people) || slot.room == answer.room }).to be_empty
      end
    end
    expect(found).to be > 20
  end

  def random_evening(random)
    at = [0, 0]
    Array.new(random.rand(1..8)) do |i|
      room = random.rand(0..1)
      start = at[room] + [0, 0, 5, 10, 20].sample(random:)
      finish = start + (random.rand(1..8) * 5)
      at[room] = finish
      Core::Running::DrillPlace::Slot.new(id: i, start:, finish:, room: room + 1, work: random.rand < 0.8,
                                          people: (1..6).select { random.rand < 0.5 }, links: [random.rand(1..4)])
    end
  end

  it "opens a film at a second and finds that second's music again, marks or not, at any speed" do
    each_case(100) do |random|
      at = random.rand(0.0..30.0)
      music = random.rand(0.0..60.0)
      marks = Array.new(random.rand(1..4)) do
        at += random.rand(5.0..40.0)
        music += random.rand(5.0..40.0)
        running::ClipClock::Mark.new(clip: at, music:)
      end
      clock = running::ClipClock.new(marks.shuffle(random:), speed: [50, 60, 80, 100].sample(random:), length: at + 500)
      expect(marks.map { |mark| clock.clip_second(mark.music) }).to eq marks.map(&:clip)
      wanted = marks.last.music + random.rand(0.0..20.0)
      expect(clock.music_second(clock.clip_second(wanted))).to be_within(1e-6).of(wanted)
    end
  end

  it "gives a round of notes whole, everyone's before individuals', each half in piece order" do
    each_case(80) do |random|
      notes = Array.new(random.rand(0..12)) do |i|
        place = [nil, [random.rand(1..2), random.rand(1..2)]].sample(random:)
        running::NotesRound::Note.new(
          id: i, count: place && ((place[0] * 10) + place[1]), person: [nil, nil, 1, 2].sample(random:), place:,
          text: %w[late early soft].sample(random:), given: random.rand(0..3), open: random.rand < 0.6
        )
      end
      round = running::NotesRound.new(notes)
      expect(round.order.map(&:id)).to match_array notes.map(&:id)
      everyone, individuals = round.order.partition { |note| note.person.nil? }
      expect(round.order).to eq everyone + individuals
      [everyone, individuals].each do |half|
        counts = half.map { |note| note.count || 0 }
        expect(counts).to eq counts.sort
      end
      expect(round.minutes.zero?).to be(notes.none?(&:open))
      slots = round.cleaning
      slots.each do |note, times|
        same = notes.select { |one| [one.place, one.person, one.text] == [note.place, note.person, note.text] }
        expect([times, note.place.nil?]).to eq [same.sum(&:given), false]
        expect(times).to be >= 3
      end
    end
  end
end
