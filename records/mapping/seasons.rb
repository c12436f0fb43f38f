# frozen_string_literal: true

module Records
  module Mapping
    # A studio's rehearsals, absences and other pieces' slots => what Core::Planning needs. Windows are rehearsals less
    # warm-up and cool-down; ids are texts: w12, p7, r3.
    class Seasons
      Planning = Core::Planning
      GRID = 5
      # Person-minutes: an even load over the weeks is worth some waiting, not any.
      EVEN = 60
      private_constant :Planning

      attr_reader :now, :care

      # now: the studio's local time; rehearsals that have begun are past. apart: pieces whose slots are not counted
      # with what others hold; soon: whether what was told for the next days may change too; change: SeasonChange, to
      # see what it would do.
      def initialize(piece, now:, care: nil, apart: [], soon: false, change: SeasonChange.new)
        @apart = apart
        @soon = soon
        @change = change
        @piece = piece
        @studio = piece.studio
        @now = now
        @care = care || Seasons.care(@studio)
      end

      def self.care(studio)
        Planning::Care.new(
          **%w[warm_up cool_down max_continuous rest re_warm].to_h { |name| [name.to_sym, studio.setting(name)] }
        )
      end

      def rehearsals
        @rehearsals ||=
          @studio.rehearsals.standing.includes(:rooms)
            .where(rehearsals: { date: ..(@piece.show_date || (@now.to_date + 365)) })
            .then { |rows| @change.rehearsals(rows.to_a) }
            .select { |rehearsal| rooms_of(rehearsal).any? && !rehearsal.left_empty }
            .sort_by { |rehearsal| [rehearsal.date, rehearsal.start_minute] }
      end

      # Rehearsals still ahead.
      def open = @open ||= rehearsals.reject { |rehearsal| past?(rehearsal) }

      # Those of them in which a plan may set something, and those that stand as people were told.
      def plannable = open - fixed
      def fixed = @fixed ||= open.select { |rehearsal| fixed_until && rehearsal.date <= fixed_until }

      def past?(rehearsal)
        ([rehearsal.date, rehearsal.start_minute] <=> [@now.to_date, (@now.hour * 60) + @now.min]) <= 0
      end

      # tasks: [Core::Planning::Task] whose people are row ids; answers the Problem with text ids.
      # done: {task id => minutes that fixed evenings give it}; rehearsals: those that its windows are.
      def problem(tasks, hazards: [], done: {}, rehearsals: plannable)
        named = tasks.map { |task| NamedTask.of(task) }
        windows = rehearsals.map { |rehearsal| window(rehearsal, hazards) }
        Planning::Problem.new(
          windows: windows.select { |w| w.minutes >= GRID },
          tasks: named,
          done:,
          grid: GRID,
          dancers: named.flat_map(&:dancers).uniq.sort,
          choreographers: named.flat_map { |task| task.choreographers | task.leaders }.uniq.sort,
          unavailable: unavailable,
          availability:,
          target_window: target&.then { |rehearsal| Identifiers.window(rehearsal.id) },
          most_new_eights: @studio.setting("new_eights"),
          show_date: @piece.show_date&.iso8601,
          even: EVEN,
          exams: SeasonDays.new(@studio).exams,
          **SeasonCare.new(@piece, @care, warm_up).to_h(named),
          **for_memory(named)
        )
      end

      # Slots that other pieces hold in the rehearsals ahead: of the drafts made together with this piece's, else of
      # what people were told.
      def others
        @others ||= begin
          plans = Company.new(@piece).plans(apart: @apart.map(&:id))
          ahead = open.map(&:id).grep(Integer)
          @studio.slots.where(plan_id: plans, rehearsal_id: ahead).order(:id).includes(:slot_people, :rehearsal).to_a
        end
      end

      # Warm-up minutes before this piece's work.
      def warm_up = @warm_up ||= @care.warm_up_for(Works.hazards(@piece))

      # Share of the rehearsals ahead that each person misses whole.
      def away_shares
        dates = open.map(&:date).uniq
        return {} if dates.empty?

        whole = own_absences.select { |away| away[:from].nil? && Identifiers.person?(away[:who]) }
        whole.group_by { |away| Identifiers.row(away[:who]) }.transform_values { |days| days.size.fdiv(dates.size) }
      end

      # The last rehearsal by which the full runs should be done, counted backward: before the dress rehearsal and the
      # filming where these are set, and some days before the show.
      def target
        by = due or return
        open.reverse.find { |rehearsal| rehearsal.date <= by }
      end

      def due
        [
          *deadlines.values_at("dress", "filming").compact.map { |date| date - 1 },
          @piece.show_date && (@piece.show_date - @piece.setting("ready_days").to_i)
        ].compact.min
      end

      # {"dress" => Date, "technical" => Date, "filming" => Date, "set_on" => Date}.
      def deadlines
        @piece.setting("deadlines").slice(*Piece::DEADLINES)
          .transform_values { |text| Date.iso8601(text) }
      end

      # The first day on which a film is there, its days of editing after the filming.
      def film_ready = deadlines["filming"]&.+(@piece.setting("deadlines")["editing_days"].to_i)

      # A plan's slots ahead as placements of its tasks.
      def placements(plan)
        return [] unless plan

        windows = plannable.index_by(&:id)
        plan.slots.includes(:slot_people)
          .select { |slot| slot.work? && windows.key?(slot.rehearsal_id) }
          .map { |slot| placement(slot, windows[slot.rehearsal_id]) }
      end

      # Slots of the standing plan that stay where they are.
      def pinned
        placements(@piece.latest_plan).select { |each| pinned_keys.include?([each.task, Identifiers.row(each.window)]) }
      end

      def pinned_keys
        @pinned_keys ||=
          @piece.latest_plan ? @piece.latest_plan.slots.where(pinned: true).pluck(:task_key, :rehearsal_id) : []
      end

      # What each teacher's rehearsals came out at, of what was estimated. Only plans people go by: every plan repeats
      # what is behind it.
      def self.factors(studio)
        lessons =
          studio.slots.joins(:plan, :slot_people)
            .where(kind: %w[learn make], slot_people: { role: "teacher" }, plans: { replaced_at: nil })
        rows =
          lessons
            .where.not(actual_minutes: nil)
            .where.not(plans: { published_at: nil })
            .distinct
            .pluck("slot_people.person_id", "slots.id", :minutes, :actual_minutes)
        rows.group_by(&:first).transform_values { |same| Planning::Actuals.factor(same.map { |row| row.last(2) }) }
      end

      # When people can come, on whatever day.
      def availability = @availability ||= @change.availability(everything)

      # From a day on nothing is fixed: what was told then cannot be held in its order any more.
      def opens_from(date)
        @fixed_until = [fixed_until, date - 1].compact.min
        @fixed = nil
      end

      # Those rooms of a rehearsal that can be used.
      def rooms_of(rehearsal) = @change.rooms(rehearsal.open_rooms)

      # Entries of a problem's unavailable for a slot: its people at work, its room taken.
      def taken(slot)
        at = [slot.rehearsal.date, slot.start_minute, slot.end_minute]
        kind = slot.warm_up? ? { frame: true } : { work: true }
        people = slot.slot_people.map { |called| { **away(Identifiers.person(called.person_id), *at), **kind } }
        slot.room_id ? [*people, { **away(Identifiers.room(slot.room_id), *at), **kind.slice(:frame) }] : people
      end

      private

      # Once people were told, the next days do not change by themselves; a rehearsal that is only thought of may lie in
      # them, and nothing after it is fixed.
      def fixed_until
        return @fixed_until if defined?(@fixed_until)

        days = @studio.setting("fixed_days")
        last = days.positive? && !@soon && @piece.published_plan ? @now.to_date + days : nil
        @fixed_until = last && [last, *(@change.extra && (@change.extra.date - 1))].min
      end

      def placement(slot, rehearsal)
        Planning::Placement.new(
          task: slot.task_key,
          window: Identifiers.window(slot.rehearsal_id),
          start: slot.start_minute - rehearsal.start_minute - warm_up,
          minutes: slot.minutes,
          room: Identifiers.room(slot.room_id),
          lead: lead(slot)
        )
      end

      def lead(slot)
        ids(slot.slot_people.select { |each| each.role == "teacher" }.map(&:person_id)) if slot.kind == "run"
      end

      def ids(people) = people.map { |id| Identifiers.person(id) }

      def window(rehearsal, hazards)
        from = rehearsal.start_minute + @care.warm_up_for(hazards)
        to = rehearsal.end_minute - @care.cool_down
        to -= (to - from) % GRID
        Planning::Window.new(
          id: Identifiers.window(rehearsal.id),
          date: rehearsal.date.iso8601,
          start: from,
          finish: [to, from].max,
          rooms: rooms_of(rehearsal).sort_by(&:id).map { |room| [Identifiers.room(room.id), room.capacity] },
          kind: rehearsal.kind
        )
      end

      # Recap and music, and parts short enough to be danced with them in one go.
      def for_memory(tasks)
        recap, to_music = %w[recap to_music].map { |name| @studio.setting(name) }
        dancers = tasks.flat_map(&:dancers).uniq
        {
          recap:,
          to_music:,
          max_part: [@care.max_continuous - recap - to_music, 15].max,
          lately:
            lately.map { |task| task.with(dancers: ids(task.dancers) & dancers) }.reject { |task| task.dancers.empty? }
        }
      end

      # What was new in the last rehearsal behind us that had something new, with those who were there.
      def lately
        plan = @piece.published_plan or return []
        fresh = plan.slots.where(kind: %w[make learn difference join])
        last =
          @studio.rehearsals.standing.where(id: fresh.reorder(nil).select(:rehearsal_id))
            .to_a
            .reverse
            .find { |rehearsal| past?(rehearsal) || fixed.include?(rehearsal) } or return []
        gone = last.attendances.where(present: false).pluck(:person_id)
        held = fresh.where(rehearsal_id: last.id).where.not(id: EveningStep.dropped_in(last).select(:slot_id))
        held.includes(:slot_people).map { |slot| task_of(slot, gone) }
      end

      def task_of(slot, gone)
        dancers = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id) - gone
        Planning::Task.new(
          id: slot.task_key,
          kind: slot.kind,
          minutes: slot.minutes,
          dancers:,
          sections: slot.section_ids,
          links: slot.from_link && (slot.from_link..slot.to_link).to_a,
          title: slot.title
        )
      end

      def unavailable = [*own_absences, *elsewhere, *free_time]

      # Nights and free days of minors around what cannot be moved.
      def free_time
        minors = @studio.people.where(adult: false, dances: true).ids
        FreeTime.new(others + held, minors:, night: SeasonCare::NIGHT, dates: plannable.map(&:date)).entries
      end

      # Slots of its own that stand as they were told.
      def held
        return [] if fixed.empty?

        @piece.published_plan.slots.where(rehearsal_id: fixed.map(&:id)).includes(:slot_people, :rehearsal).to_a
      end

      # Who cannot come to which of the rehearsals ahead, as far as it is up to them or to the studio's latest hour.
      def own_absences
        open.flat_map do |rehearsal|
          availability.on(rehearsal.date.iso8601, opening: rehearsal.start_minute, closing: rehearsal.end_minute)
        end.uniq
      end

      def everything = Availabilities.of(@studio, care: @care, warm_up:, away: @change.away)

      def away(who, date, from = nil, to = nil) = { who:, date: date.iso8601, from:, to: }

      # What other pieces' plans hold: their people, who are at work then, and their room.
      def elsewhere = others.flat_map { |slot| taken(slot) }
    end
  end
end
