# frozen_string_literal: true

require "web_helper"

# A plan is a promise: what was told for the next days stands, what was taken is replaced by a tap only, and whoever
# changes the next two days says for how many homes.
RSpec.describe "what people were told", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai Dee Eli Fay]) }
  let(:path) { "/pieces/#{piece.id}/plan" }
  let(:fixed) { studio.rehearsals.where(date: ..(NOW.to_date + 7)).order(:date) }

  before do
    make_season(studio, days: %w[2 4])
    sign_in director
    send_form path, {}
    send_form "#{path}s/#{latest.id}/publish", {}
  end

  def latest = piece.reload.latest_plan
  def shown = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))

  # What everybody was told of some evenings: who, what, when, where.
  def told_of(plan, rehearsals)
    slots = plan.slots.where(rehearsal: rehearsals).includes(:slot_people)
    slots.map { |s| [s.rehearsal_id, s.title, s.start_minute, s.room_id, s.slot_people.map(&:person_id).sort] }.sort
  end

  it "stands for seven days in the face of search, what if, planning again and another school" do
    before = told_of(latest, fixed)
    expect(before).not_to be_empty
    ways = [["what-if", { "change" => "passes", "passes" => "more" }],
            ["what-if", { "change" => "runs", "count" => "2" }], ["again", {}], ["schools", {}]]
    ways.each do |where, asked|
      take_offer piece, "#{path}/#{where}", asked, way: { "again" => "anew", "schools" => "back" }[where]
      expect(told_of(latest, fixed)).to eq before
      send_form "#{path}s/#{latest.id}/publish", {}
      expect(told_of(piece.published_plan, fixed)).to eq before
    end
  end

  it "is moved by hand in a draft only: nobody's calls change until it is told, for as many homes as it says" do
    before = told_of(piece.published_plan, fixed)
    first, second = fixed.to_a
    slot = latest.slots.work.where(rehearsal: second, kind: %w[learn join]).order(:start_minute).last
    last = studio.rehearsals.order(:date).last.id.to_s
    send_form "/pieces/#{piece.id}/slots/#{slot.id}/move", { "rehearsal" => last }
    moved = latest
    expect([told_of(piece.published_plan, fixed), moved.published?]).to eq [before, moved.id == slot.plan_id]
    send_form "#{path}s/#{moved.id}/publish", {}
    expect(told_of(piece.published_plan, [first])).to eq told_of(moved, [first])
  end

  it "is warmed up anew where its evening has other hours, and loses what has no time to warm up before it" do
    starts = fixed.to_h { |each| [each, latest.slots.work.where(rehearsal: each).pluck(:start_minute).uniq.sort] }
    evening, times = starts.find { |_, all| all.size > 1 }
    evening.update!(start_minute: times.last - 15)
    take_offer piece, "#{path}/again", {}, way: "repair"
    warm, work = latest.slots.where(rehearsal: evening).order(:start_minute).partition(&:warm_up?)
    expect([warm.first.start_minute, work.first.start_minute]).to eq [evening.start_minute, times.last]
  end

  it "calls whoever is new to it only where that puts them neither in two places nor too long to work" do
    slot = Struct.new(:id, :rehearsal, :start_minute, :end_minute, :slot_people, :work?, :warm_up?)
    day = Struct.new(:date).new(NOW.to_date)
    called = Struct.new(:person_id)
    standing = [[1, 1080, 1100], [2, 1100, 1115], [3, 1115, 1130], [4, 1140, 1150]]
      .map { |id, from, to| slot.new(id, day, from, to, [], true, false) }
    other = slot.new(9, day, 1145, 1160, [called.new(7)], true, false)
    care = Core::Planning::Care.new(max_continuous: 40, rest: 5)
    asked = { others: [other], care:, bands: { 8 => "under_8" }, newcomers: ->(_) { [7, 8] } }
    expect(App::Reading::JoinedCalls.new(standing, **asked).all).to eq(1 => [7, 8], 2 => [7], 3 => [8], 4 => [8])
  end

  it "loses only what cannot be held: the ill teacher's lessons; nobody else's times move" do
    evening = fixed.last
    called = latest.slots.work.where(rehearsal: evening).flat_map(&:slot_people)
    ill = called.find { |each| each.role == "teacher" }.person
    before = told_of(latest, fixed).reject { |_, _, _, _, who| who.include?(ill.id) }
    ill.absences.create!(studio:, from_date: evening.date, to_date: evening.date)
    take_offer piece, "#{path}/again", {}, way: "anew"
    after = told_of(latest, fixed)
    work = after.reject { |_, title, *| title.match?(/warm|cool/i) }
    expect(work - told_of(piece.published_plan, fixed)).to eq []
    expect(before.reject { |_, title, *| title.match?(/warm|cool/i) } - after).to eq []
    expect(latest.slots.where(rehearsal: evening).flat_map(&:slot_people).map(&:person_id)).not_to include ill.id
    keys = ->(plan) { plan.slots.work.map(&:task_key).uniq.grep_v(/\A(review|caught)/).sort }
    expect(keys[latest]).to eq keys[piece.published_plan]
  end

  it "does not stand of an evening on which something waits for what is lost before it: that is planned again" do
    first, second = fixed.to_a
    lessons = ->(plan, evening) { plan.slots.work.where(rehearsal: evening).map(&:task_key) }
    waiting = lessons.call(latest, second)
    expect(waiting).not_to be_empty
    first.update!(cancelled_at: NOW)
    take_offer piece, "/pieces/#{piece.id}/plan/again", {}, way: "anew"
    plan = latest
    expect(plan.result.fetch("unplaced", [])).to eq []
    waits = plan.result.fetch("waits")
    times = plan.slots.work.includes(:rehearsal).to_h { |s| [s.task_key, [s.rehearsal.date, s.start_minute]] }
    wrong = times.flat_map do |key, at|
      waits.fetch(key, [[], []]).flatten.select { |before| ((times[before] || at) <=> at).positive? }
    end
    expect(wrong).to eq []
  end

  it "changes where the director says so, who is told first for how many homes" do
    evening = fixed.first
    dancers.first.absences.create!(studio:, from_date: evening.date, to_date: evening.date)
    App::Shared::Clock.frozen_at = NOW - 86_400
    take_offer piece, "#{path}/again", { "soon" => "1" }, way: "anew"
    homes = App::Reading::SoonChanged.new(latest, App::Shared::Clock.now).homes
    expect(homes).to include dancers.first.id
    expect(shown).to include "This changes the next two days for"
    send_form "#{path}s/#{latest.id}/publish", {}
    expect(shown).to include "Nobody was told: it would change the next two days for"
    expect(latest.published?).to be false
    send_form "#{path}s/#{latest.id}/publish", { "homes" => homes.size.to_s }
    expect(latest.published?).to be true
  end

  it "is not replaced by what the search finds once somebody took it: that is offered, once" do
    take_offer piece, "#{path}/again", {}, way: "repair"
    plan = latest
    before = told_of(plan, studio.rehearsals.to_a)
    offer = better(plan)
    expect(told_of(latest, studio.rehearsals.to_a)).to eq before
    expect(shown).to include "A better plan was found: ready 4 days sooner. 2 people get other times."
    send_form "#{path}/offers/#{offer.id}/keep", {}
    expect(shown).not_to include "A better plan was found"
    send_form "#{path}/offers/#{better(plan).id}/take", { "way" => "better" }
    expect(latest.id).to be > plan.id
    expect(shown).not_to include "A better plan was found"
  end

  # As the search leaves it, with the figures of one that saves four days.
  def better(plan)
    draft = App::Reading::PlanDraft.new(piece.reload, studio.local(App::Shared::Clock.now))
    made = App::Planning::Actions::PlanWithReviews.new(
      draft, App::Planning::Actions::Make.new(piece, nil, draft.now, way: "anew", draft:).solve
    )
    App::Planning::Offers::Gain.new(plan, made, draft).offer.tap do |offer|
      offer.update!(facts: { "days" => 4, "placed" => 0, "calls" => 0, "people" => dancers.first(2).map(&:id) })
    end
  end

  it "is offered only where it saves a rehearsal or ten calls, and nothing gets worse by it" do
    plan = latest
    draft = App::Reading::PlanDraft.new(piece.reload, studio.local(NOW))
    made = App::Planning::Actions::PlanWithReviews.new(
      draft, App::Planning::Actions::Make.new(piece, nil, draft.now, way: "anew", draft:).solve
    )
    worth = lambda do |**result|
      plan.result = plan.result.merge(result.transform_keys(&:to_s))
      gain = App::Planning::Offers::Gain.new(plan, made, draft)
      [gain.nothing_worse?, gain.worth_asking?]
    end
    ready = App::Planning::Offers::Gain.new(plan, made, draft).send(:ready)
    calls = made.plan.calls.size
    expect(worth.call(ready:, calls: calls + 9)).to eq [true, false]
    expect(worth.call(ready:, calls: calls + 10)).to eq [true, true]
    expect(worth.call(ready: (Date.iso8601(ready) + 3).iso8601, calls:).first).to be true
    expect(worth.call(ready: (Date.iso8601(ready) - 1).iso8601, calls: calls + 99).first).to be false
    expect(worth.call(ready: "2027-03-16", calls:)).to eq [true, true]
  end
end
