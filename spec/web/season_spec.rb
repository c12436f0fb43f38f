# frozen_string_literal: true

require "web_helper"
require "support/season_checks"

# A studio with two pieces that share people and rooms, lived through rehearsal by rehearsal: registers, ticks,
# absences, cancelled evenings, moves by hand, planning again either way. After everything, what people are told can be
# done, what is behind them is as it was, and a new plan knows all that happened.
RSpec.describe "a season lived through", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:pieces) do
    [
      make_piece(studio, director),
      make_piece(
        studio,
        director,
        title: "Spring Piece",
        lines: "Rain, 2 eights, Odalys\nSun, 3 eights, Perrin\nRain again"
      )
    ]
  end

  def now = studio.local(App::Shared::Clock.now)

  before do
    make_cast(pieces[0], %w[Ada Bram Cleo Dov Esi])
    make_cast(pieces[1], %w[Ada Bram Fern])
    studio.people.where(name: ["Ada Test", "Cleo Test"]).update_all(adult: true)
    pieces.each { |piece| piece.update!(settings: { "full_runs" => 2 }) }
    make_season(studio, rooms: [["Hall", 20], ["Loft", 3]], days: %w[2 6], last: "2027-03-06", to: "20:30")
    studio.update!(settings: { "latest_finish" => 1220, "daily_minutes" => 120 })
    sign_in director
  end

  def path(piece, tail) = "/pieces/#{piece.id}#{tail}"
  def latest(piece) = piece.reload.latest_plan
  def told = pieces.filter_map { |piece| piece.reload.published_plan }
  def plan_conflicts(piece) = App::Reading::PlanConflicts.of(latest(piece), piece.reload, now)
  def begun?(rehearsal) = ([rehearsal.date, rehearsal.start_minute] <=> [now.to_date, (now.hour * 60) + now.min]) <= 0
  def ahead = studio.rehearsals.standing.reject { |each| begun?(each) }

  # Everything people were ever told, as it stands in the rows.
  def history
    studio.slots.where(plan_id: studio.plans.where.not(published_at: nil).ids)
      .includes(:slot_people)
      .order(:id)
      .to_h do |slot|
        [
          slot.id,
          [
            slot.plan_id,
            slot.rehearsal_id,
            slot.start_minute,
            slot.minutes,
            slot.title,
            slot.room_id,
            slot.slot_people.map { |each| [each.person_id, each.role] }.sort
          ]
        ]
      end
  end

  def behind(plan)
    rows =
      if plan
        plan.slots.includes(:rehearsal, :slot_people)
          .select { |slot| slot.rehearsal.cancelled_at.nil? && begun?(slot.rehearsal) }
      else
        []
      end
    rows
      .map do |slot|
        [
          slot.rehearsal_id,
          slot.start_minute,
          slot.minutes,
          slot.title,
          slot.actual_minutes,
          slot.slot_people.map(&:person_id).sort
        ]
      end
      .sort
  end

  # {[person, rehearsal] => [first minute, last minute]} of a plan ahead, for people with an account.
  def spans(plan, standing)
    slots = plan ? plan.slots.where(rehearsal_id: standing).includes(:slot_people) : []
    rows =
      slots.flat_map do |slot|
        slot.slot_people.map { |each| [[each.person_id, slot.rehearsal_id], slot.start_minute, slot.end_minute] }
      end
    rows.group_by(&:first).transform_values { |same| [same.map { |row| row[1] }.min, same.map(&:last).max] }
  end

  def plan_again(piece, random)
    loosen(piece) if latest(piece) && plan_conflicts(piece).any?
    kept = pins(piece)
    way = latest(piece) && %w[repair anew].sample(random:)
    way ? take_offer(piece, path(piece, "/plan/again"), {}, way:) : send_form(path(piece, "/plan"), {})
    expect(plan_conflicts(piece)).to be_empty, "a new #{way} plan does not know: #{plan_conflicts(piece).join(' ')}"
    expect(pins(piece)).to match_array kept
    result = latest(piece).result
    expect(result["reasons"].any?).to be result["unplaced"].any?
    beside = told.reject { |plan| plan.piece_id == piece.id }
    expect(SeasonChecks.new(studio, latest(piece), now, beside:).faults).to eq []
  end

  def tell(piece)
    before = piece.reload.published_plan
    kept = behind(before)
    know =
      spans(
        before,
        studio.rehearsals.reject { |each| begun?(each) || each.cancelled_at&.<=(before&.published_at || NOW) }.map(&:id)
      ).to_a
    Records::Mail.where(studio:).delete_all
    send_form path(piece, "/plans/#{latest(piece).id}/publish"), { "homes" => "99" }
    expect(piece.reload.published_plan).to eq latest(piece)
    expect(behind(latest(piece))).to eq kept
    now_know = spans(latest(piece), ahead.map(&:id)).to_a
    changed = ((know - now_know) + (now_know - know)).map { |(person, _), _| person }.uniq
    mailed =
      studio.memberships.where(role: "choreographer")
        .select { |member| Records::Mail.exists?(studio:, recipient: member.account.email) }
        .map(&:person_id)
    expect(mailed).to match_array(studio.memberships.where(role: "choreographer").map(&:person_id) & changed)
  end

  # What the rehearsal that is just over leaves behind: who was there, how long it took, how far it got, who has it.
  def keep_register(rehearsal, random)
    sheet = App::Calls::Pages::CallSheet.new(rehearsal, director, now)
    here = sheet.people.reject { random.rand < 0.15 }
    lessons = sheet.lessons.to_h { |slot, section, _| [slot.id.to_s, random.rand(1..section.eights.size).to_s] }
    minutes =
      sheet.slots.select(&:work?)
        .to_h { |slot| [slot.id.to_s, [(slot.minutes * [0.8, 1, 1.3].sample(random:)).round, 1].max.to_s] }
    send_form "/rehearsals/#{rehearsal.id}/register",
              { "here" => here.map { |person| person.id.to_s }, "minutes" => minutes, "taught" => lessons }
    expect(rehearsal.attendances.where(present: true).pluck(:person_id)).to match_array(here.map(&:id))
    pieces.each { |piece| tick(piece, sheet, here, random) }
  end

  def tick(piece, sheet, here, random)
    keys =
      sheet.slots
        .select { |slot| slot.plan.piece_id == piece.id && %w[learn join difference].include?(slot.kind) }
        .map { |slot| slot.task_key.sub(/\A[a-z]+-/, "") }
    cells = here.product(keys).select { random.rand < 0.8 }.map { |person, key| "#{person.id}:#{key}" }
    send_json path(piece, "/ticks"), { cells:, rung: 4, kind: "danced" } if cells.any?
  end

  def something_happens(random)
    return if ahead.empty?

    case random.rand(6)
    when 0
      send_form "/people/#{studio.people.where(dances: true).sample(random:).id}/absences",
                { "from_date" => ahead.sample(random:).date.iso8601, "from" => ["", "19:15"].sample(random:) }
    when 1
      send_form "/rehearsals/#{ahead.sample(random:).id}/cancel", { "to" => "yes" }
    when 2
      move(pieces.sample(random:), random)
    when 3
      make_cast(pieces.sample(random:), ["New#{random.rand(1000)}"])
    when 4
      pin(pieces.sample(random:), random)
    end
  end

  def slots_ahead(piece) = latest(piece).slots.work.where(rehearsal_id: ahead.map(&:id)).to_a

  # By hand nothing is broken either: it goes, or it is said why not.
  def move(piece, random)
    beside = told.reject { |plan| plan.piece_id == piece.id }
    before = SeasonChecks.new(studio, latest(piece), now, beside:).faults
    send_json path(piece, "/slots/#{(slots_ahead(piece).sample(random:) or return).id}/move"),
              { rehearsal: ahead.sample(random:).id }
    expect(last_response.status).to eq(200).or eq(422)
    expect(SeasonChecks.new(studio, latest(piece), now, beside:).faults - before).to eq []
  end

  def pins(piece)
    if latest(piece)
      slots_ahead(piece).select(&:pinned)
        .map { |slot| [slot.task_key, slot.rehearsal_id, slot.start_minute, slot.room_id] }
    else
      []
    end
  end

  def pin(piece, random)
    slot = slots_ahead(piece).sample(random:) and send_json path(piece, "/slots/#{slot.id}/pin"), { "to" => "yes" }
  end

  # A pin holds whatever happens; the director takes it out where that is no longer wanted.
  def loosen(piece)
    slots_ahead(piece).select(&:pinned).each { |slot| send_json path(piece, "/slots/#{slot.id}/pin"), { "to" => "no" } }
  end

  # Mostly told at once, sometimes left for a while.
  def again(piece, random)
    plan_again(piece, random)
    tell(piece) if random.rand < 0.75
  end

  def late_draft?(piece)
    !latest(piece).published? &&
      plan_conflicts(piece).none? { |text| text.include?("two pieces") || text.start_with?("Two pieces") }
  end

  def live(random)
    pieces.each do |piece|
      plan_again(piece, random)
      tell(piece)
    end
    studio.rehearsals.standing.first(5).each do |rehearsal|
      next if rehearsal.reload.cancelled_at

      App::Shared::Clock.frozen_at = Time.utc(rehearsal.date.year, rehearsal.date.month, rehearsal.date.day, 21)
      keep_register(rehearsal, random)
      something_happens(random)
      known = history
      pieces.each { |piece| tell(piece) if random.rand < 0.5 && late_draft?(piece) }
      pieces.shuffle(random:).each { |piece| again(piece, random) if random.rand < 0.7 || plan_conflicts(piece).any? }
      expect(history.slice(*known.keys)).to eq known
      expect(
        [
          path(pieces[0], "/plan"),
          path(pieces[0], "/plan/again"),
          path(pieces[1], "/calls"),
          "/",
          "/rehearsals/#{ahead.first.id}/call-sheet"
        ].map { |each| get(each).status }.uniq
      ).to eq [200]
    end
  end

  it "keeps all promises and forgets nothing" do
    %w[Mirela Odalys Perrin].each do |name|
      make_member(studio, "choreographer", name:, person: studio.people.find_by!(name:))
    end
    each_case(1) { |random| live(random) }
  end
end
