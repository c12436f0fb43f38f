# frozen_string_literal: true

require "web_helper"

# What the demo promises to show, each findable from Home.
RSpec.describe "the demo world", :web do
  before(:all) do # rubocop:disable RSpec/BeforeAfterAll -- made once: it takes seconds
    DatabaseCleaner.strategy = :truncation
    App::Shared::Clock.frozen_at = NOW
    App::Demo::Builder.new(NOW).run
  end

  after(:all) { DatabaseCleaner.clean_with(:truncation) } # rubocop:disable RSpec/BeforeAfterAll

  let(:studio) { Records::Studio.find_by!(demo: true) }
  let(:wings) { studio.pieces.find_by!(title: App::Demo::World::WINGS) }
  let(:snapshot) { App::Reading::PieceSnapshots.of(wings) }
  let(:standings) { snapshot.review.joins.map { |held| App::Reading::JoinStanding.new(held, snapshot) } }

  def named(name) = standings.find { |each| each.join.name == name }
  def open_states(name) = named(name).open.map { |finding| [finding.state, finding.verdict] }

  # An adult may look after a warm-up at the side of the room in which they work.
  def beside_work?(called, slot, slots)
    called.role == "adult" && slots.any? do |other|
      other != slot && other.room_id == slot.room_id && other.slot_people.any? do |each|
        each.person_id == called.person_id
      end
    end
  end

  it "has a weight clash, a walk that is too fast, a facing question and a join changed since agreed, all mendable" do
    expect(open_states("Smoke into Drift")).to eq [%i[weight clash]]
    expect(open_states("Comb into Swarm")).to include(%i[place clash])
    expect(open_states("Waggle Line into New Queen")).to include(%i[facing question])
    expect(named("First Flight into Waggle Line").changed).to eq [:leaving]
    expect(standings.select { |each| each.state == :agreed }.map { |each| each.join.name }).to eq [
      "Overwinter into First Flight",
      "Waggle Line into Comb"
    ]
    expect(standings.flat_map(&:open).select(&:clash?).map(&:mends)).to all(be_any)
  end

  it "shows each of them on Home, a click from where it is mended" do
    sign_in_director
    body = get("/").body
    {
      "Smoke into Drift does not fit: free foot" => 6,
      "Comb into Swarm does not fit: place" => 8,
      "First Flight into Waggle Line changed since it was agreed" => 2
    }.each do |text, index|
      expect(body).to include(text)
      expect(get("/pieces/#{wings.id}/joins/#{index}").status).to eq 200
    end
  end

  it "has a canon that meets, a fork, a seated dancer, and lines that add up" do
    expect(snapshot.lines.findings).to eq []
    expect(snapshot.danced.forks.map(&:links)).to include([3, 10])
    wren = studio.people.find_by!(name: App::Demo::World::SEATED)
    expect(wings.version_people.pluck(:person_id, :kind)).to eq [[wren.id, "seated"]]
    swarm = wings.sections.find_by!(name: "Swarm")
    expect(swarm.parts.pluck(:start_offset).uniq.sort).to eq [0, 4, 8]
  end

  it "has a section that fades, and a plan that fits with a little to spare" do
    smoke = snapshot.items.all.find { |item| item.name == "Smoke" && item.kind == :section }
    fading =
      snapshot.items.dancers(smoke)
        .map { |who| snapshot.progress.cell(who, smoke.key) }
        .count { |cell| cell.rung.positive? && %i[fading rusty].include?(cell.freshness(studio.today(NOW))) }
    expect(fading).to be_positive
    plan = wings.published_plan
    expect([plan.result["unplaced"], plan.slots.count { |slot| slot.kind == "run" }]).to eq [[], 5]
    last = plan.slots.includes(:rehearsal).select { |slot| slot.kind == "run" }.map { |slot| slot.rehearsal.date }.max
    expect((wings.show_date - last).to_i).to be_between(1, 25)
  end

  it "keeps everybody within rooms, dates and one place at once" do
    slots = wings.published_plan.slots.includes(:rehearsal, :room, :slot_people).to_a
    over = slots.select { |slot| slot.slot_people.count { |called| called.role == "dancer" } > slot.room.capacity }
    expect(over).to be_empty
    busy =
      slots.flat_map do |slot|
        slot.slot_people.reject { |called| beside_work?(called, slot, slots) }
          .map { |called| [called.person_id, slot.rehearsal_id, slot.start_minute...slot.end_minute] }
      end
    twice =
      busy
        .group_by { |person, rehearsal, _| [person, rehearsal] }
        .values
        .any? { |own| own.map(&:last).combination(2).any? { |a, b| a.begin < b.end && b.begin < a.end } }
    expect(twice).to be false
    away = studio.absences.flat_map do |absence|
      slots.select do |slot|
        slot.rehearsal.date.between?(absence.from_date, absence.to_date) && slot.slot_people.any? do |called|
          called.person_id == absence.person_id
        end
      end
    end
    expect(away.select { |slot| slot.rehearsal.date >= studio.today(NOW) }).to be_empty
  end

  it "stands again, only itself, when it is made anew" do
    other = make_studio("Somebody Else")
    App::Demo::Builder.new(NOW + (86_400 * 7)).run
    expect([Records::Studio.where(demo: true).count, Records::Studio.exists?(other.id)]).to eq [1, true]
    expect(Records::Studio.find_by!(demo: true).pieces.count).to eq 4
  end

  def sign_in_director
    account = studio.memberships.find_by!(role: "director").account
    send_form "/demo/enter", { "account" => account.id.to_s }
  end
end
