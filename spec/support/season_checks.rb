# frozen_string_literal: true

# Whether what a studio's people are told can be done, straight from the rows and minute by minute, knowing nothing of
# the planner: [sentence] of what cannot. Only rehearsals that are ahead.
class SeasonChecks
  Called = Struct.new(:who, :role, :kind, :title, :from, :to, :rehearsal, :room, :piece, keyword_init: true)

  # When whoever is of an age is due at home, in minutes of the day.
  HOME = { "under_8" => 1110, "8_11" => 1200, "12_15" => 1260, "16_17" => 1320 }.freeze

  # The longest work on end, in minutes.
  ON_END = { "under_8" => 30, "8_11" => 45 }.freeze

  # plan: the one to be told; beside: those people go by for other pieces; now: local time. What happened since those
  # others were told is not held against this one.
  def initialize(studio, plan, now, beside: [])
    @studio = studio
    @plan = plan
    plans = [plan, *beside]
    @now = now
    @slots =
      studio.slots.where(plan_id: plans.map(&:id))
        .includes(:rehearsal, :room, :slot_people, :plan)
        .select { |slot| ahead?(slot.rehearsal) }
    @called = @slots.flat_map { |slot| slot.slot_people.map { |each| called(slot, each) } }
  end

  def faults = [*outside, *cancelled, *twice, *rooms, *crowded, *absences, *late, *days, *cold, *together, *unwatched]

  private

  def ahead?(rehearsal)
    ([rehearsal.date, rehearsal.start_minute] <=> [@now.to_date, (@now.hour * 60) + @now.min]).positive?
  end

  def work = @work ||= @called.reject { |each| Records::Slot::WARM_UPS.include?(each.kind) }
  def names = @names ||= @studio.people.pluck(:id, :name).to_h

  def called(slot, row)
    Called.new(
      who: row.person_id,
      role: row.role,
      kind: slot.kind,
      title: slot.title,
      from: slot.start_minute,
      to: slot.end_minute,
      rehearsal: slot.rehearsal,
      room: slot.room_id,
      piece: slot.plan.piece_id
    )
  end

  def meet?(one, other) = one.rehearsal.date == other.rehearsal.date && one.from < other.to && other.from < one.to
  def say(call, what) = "#{names[call.who]} #{what} on #{call.rehearsal.date} (#{call.title})"

  def outside
    leaving = @slots.reject do |slot|
      slot.start_minute >= slot.rehearsal.start_minute && slot.end_minute <= slot.rehearsal.end_minute
    end
    leaving.map { |slot| "#{slot.title} leaves its rehearsal on #{slot.rehearsal.date}" }
  end

  # Minors are never in a room by themselves while an adult of the rehearsal is idle.
  def unwatched
    grown = @studio.people.where(adult: true).pluck(:id).to_set
    minors = @studio.people.where(adult: false).pluck(:id).to_set
    own = @slots.select { |slot| slot.plan_id == @plan.id }
    alone = own.reject do |slot|
      ids = slot.slot_people.map(&:person_id)
      ids.none? { |id| minors.include?(id) } || ids.any? { |id| grown.include?(id) }
    end
    alone.filter_map { |slot| say_unwatched(slot, own, grown) }
  end

  def say_unwatched(slot, own, grown)
    same_day = own.select { |other| other.rehearsal_id == slot.rehearsal_id }
    teachers = same_day.flat_map { |other| other.slot_people.select { |each| each.role == "teacher" }.map(&:person_id) }
    idle = teachers.uniq.select { |id| grown.include?(id) && idle?(id, slot) }
    "nobody looks after #{slot.title} on #{slot.rehearsal.date}, and #{names[idle.first]} is idle" if idle.any?
  end

  def idle?(who, slot)
    day = @called.select { |each| each.who == who && each.rehearsal.date == slot.rehearsal.date }
    date = slot.rehearsal.date
    away = @studio.absences.where(person_id: who).any? { |each| date.between?(each.from_date, each.to_date) }
    !away && day.none? { |each| each.from < slot.end_minute && slot.start_minute < each.to } && rested?(day, slot)
  end

  # Whether one slot more leaves them within what is worked on end.
  def rested?(day, slot)
    minutes = [*day.map { |each| [each.from, each.to] }, [slot.start_minute, slot.end_minute]]
      .flat_map { |from, to| (from...to).to_a }.uniq.sort
    stretches = minutes.slice_when { |one, other| other - one - 1 >= @studio.setting("rest") }
    own = stretches.find { |run| run.include?(slot.start_minute) }
    own.last - own.first + 1 <= @studio.setting("max_continuous")
  end

  def cancelled
    @slots
      .select { |slot| slot.rehearsal.cancelled_at && slot.plan_id == @plan.id }
      .map { |slot| "#{slot.title} is in a rehearsal that was cancelled" }
  end

  def twice
    work
      .group_by { |each| [each.who, each.rehearsal.date] }
      .values
      .flat_map do |same|
        same.combination(2).select { |one, other| meet?(one, other) }.map { |one, _| say(one, "is in two places") }
      end
  end

  def rooms
    @slots.reject(&:warm_up?).group_by { |slot| [slot.rehearsal.date, slot.room_id] }.values.flat_map do |same|
      pairs =
        same.combination(2)
          .select { |one, other| one.start_minute < other.end_minute && other.start_minute < one.end_minute }
      pairs.map { |one, other| "#{one.title} and #{other.title} share #{one.room.name} on #{one.rehearsal.date}" }
    end
  end

  def crowded
    own = @slots.select { |slot| slot.plan_id == @plan.id }
    full = own.reject(&:warm_up?).select do |slot|
      slot.slot_people.count { |each| each.role == "dancer" } > slot.room.capacity ||
        slot.rehearsal.rooms.exclude?(slot.room)
    end
    full.map { |slot| "#{slot.room.name} cannot hold #{slot.title} on #{slot.rehearsal.date}" }
  end

  def absences
    @studio.absences.flat_map do |away|
      own =
        work.select do |each|
          each.piece == @plan.piece_id && each.who == away.person_id &&
            each.rehearsal.date.between?(away.from_date, away.to_date)
        end
      own
        .select { |each| each.from < (away.to_minute || 1440) && (away.from_minute || 0) < each.to }
        .map { |each| say(each, "is away") }
    end
  end

  def minors = @minors ||= @studio.people.where(adult: false, dances: true).ids

  def late
    latest = @studio.setting("latest_finish")
    bands = @studio.people.pluck(:id, :band).to_h
    @called
      .select { |each| each.role == "dancer" && minors.include?(each.who) && each.piece == @plan.piece_id }
      .select { |each| each.to > [latest, HOME[bands[each.who]]].compact.min }
      .map { |each| say(each, "goes home too late") }
  end

  def days
    most = @studio.setting("daily_minutes")
    @called
      .select { |each| minors.include?(each.who) }
      .group_by { |each| [each.who, each.rehearsal.date] }
      .values
      .select { |same| same.flat_map { |each| (each.from...each.to).to_a }.uniq.size > most }
      .map { |same| say(same.first, "does too much") }
  end

  # Everybody warms up before their first work of an evening, unless they come straight from another piece's.
  def cold
    mine = work.select { |each| each.role == "dancer" && each.piece == @plan.piece_id }
    firsts = mine.group_by { |each| [each.who, each.rehearsal.id] }.transform_values { |same| same.min_by(&:from) }
    firsts.reject { |key, first| warmed?(key, first.from) }.map { |_, first| say(first, "is cold") }
  end

  def warmed?(key, by)
    same = @called.select { |each| [each.who, each.rehearsal.id] == key }
    same.any? { |each| each.kind == "warm_up" && each.to <= by } ||
      same.any? { |each| work.include?(each) && each.from < by && each.to > by - 20 }
  end

  # Nobody works for more minutes on end than the studio allows.
  def together
    most = @studio.setting("max_continuous")
    rest = @studio.setting("rest")
    bands = @studio.people.where(adult: false).pluck(:id, :band).to_h
    tired = work.group_by { |each| [each.who, each.rehearsal.id] }.values.select do |same|
      minutes = same.flat_map { |each| (each.from...each.to).to_a }.uniq.sort
      own = [most, ON_END[bands[same.first.who]]].compact.min
      minutes.slice_when { |one, other| other - one - 1 >= rest }.any? { |run| run.last - run.first + 1 > own }
    end
    tired.map { |same| say(same.first, "has no rest") }
  end
end
