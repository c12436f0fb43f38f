# frozen_string_literal: true

module App
  module Reading
    # What a plan does not know of: what happened to rehearsals, rooms and people since, and what there is to do now
    # that it gives no time to. In sentences, what is wrong soonest first.
    class PlanConflicts
      MOST = 3

      # Sentences for a plan of a piece as things are now, kept while nothing about the season changes.
      def self.of(plan, piece, now)
        snapshot = PieceSnapshots.of(piece)
        version = SeasonVersion.of(plan, now)
        draft = snapshot.held_by_work(:plan_draft, version) { PlanDraft.new(piece, now).prepared }
        ahead = snapshot.held_by_work(:planned_slots, version) { PlannedSlots.new(plan, draft.season) }
        conflicts = new(plan, draft.over(snapshot), snapshot, ahead)
        clashes = snapshot.held_by_work(:plan_clashes, version) { conflicts.clashes }
        [*clashes, *snapshot.held(:plan_drift, version) { conflicts.drift }]
      end

      # draft: PlanDraft of today; ahead: what of the plan lies before us.
      def initialize(plan, draft, snapshot, ahead = PlannedSlots.new(plan, draft.season))
        @plan = plan
        @draft = draft
        @snapshot = snapshot
        @ahead = ahead
      end

      def all = [*clashes, *drift]

      # What is wrong whatever anybody has learned.
      def clashes = [*cancelled, *standing, *gone, *cold]

      # What is to be done now and has no time, or has time and is not to be done any more.
      def drift
        return [] if @draft.season.open.empty?

        changes = Core::Planning::Drift.new(@draft.tasks, planned, known:).all.group_by(&:kind)
        [*lacking(:missing, changes), *short(changes), *uncalled(changes), *lacking(:spare, changes)]
      end

      # Only what would put somebody, or a room, in two places at once.
      def double = sentences(found.select { |conflict| %i[elsewhere taken].include?(conflict.kind) })

      private

      def t(key, **words) = I18n.t("plans.conflict.#{key}", **words)

      # Rehearsals that were cancelled while the plan still has slots in them.
      def cancelled = @ahead.lost.map(&:last).uniq.sort.map { |date| t(:cancelled, day: Shared::Dates.day(date)) }

      def found = @found ||= Core::Planning::PlanConflicts.new(@ahead.problem, @ahead.placements).all
      def standing = sentences(found)

      def sentences(plan_conflicts)
        plan_conflicts
          .group_by { |conflict| [date(conflict), conflict.kind, conflict.room] }
          .sort_by { |key, _| key.map(&:to_s) }
          .map { |(date, kind, room), same| sentence(kind, date, room, same) }
          .uniq
      end

      def sentence(kind, date, room, same)
        who = same.flat_map(&:who).uniq
        held = same.any? { |conflict| slots.fetch(conflict.task).pinned }
        [said(kind, date, room, same, who), (t(:pinned) if held)].compact.join(" ")
      end

      def said(kind, date, room, same, who)
        t(
          kind,
          day: Shared::Dates.day(date),
          names: list(who.map { |id| name(Records::Mapping::Identifiers.row(id)) }.sort),
          count: who.size,
          room: rooms[Records::Mapping::Identifiers.row(room)],
          tasks: list(same.map { |conflict| slots.fetch(conflict.task).title }.uniq)
        )
      end

      # Dancers who are not in the piece any longer, and called.
      def gone
        called = @ahead.slots.flat_map { |slot| @ahead.called(slot, "dancer") }.uniq
        left = called - @snapshot.cast.keys
        left.empty? ? [] : [t(:gone, names: list(left.map { |id| name(id) }.sort), count: left.size)]
      end

      # Who has no time to warm up, since another piece's work moved.
      def cold
        ColdStarts.new(@plan, @draft.season).days.map do |date, who|
          t(:cold, day: Shared::Dates.day(date), names: list(who.map { |id| name(id) }.sort), count: who.size)
        end
      end

      # What is said already: it found no place, or lost it with a rehearsal.
      def known = @plan.result.fetch("unplaced", []).map { |task| task["task"] } + @ahead.lost.map(&:first)

      def lacking(kind, changes)
        changes.key?(kind) ? [t(kind, tasks: list(changes[kind].map { |change| title(change.task) }.uniq))] : []
      end

      def short(changes)
        changes.fetch(:short, [])
          .sort_by { |change| -change.minutes }
          .first(MOST)
          .map { |change| t(:short, tasks: title(change.task), minutes: change.minutes) }
      end

      def uncalled(changes)
        who =
          changes.fetch(:uncalled, []).flat_map { |change| change.who.map { |id| [id, change.task] } }.group_by(&:first)
        who
          .group_by { |_, pairs| pairs.map(&:last) }
          .map do |tasks, people|
            t(
              :uncalled,
              names: list(people.map { |id, _| name(id) }.sort),
              count: people.size,
              tasks: list(tasks.map { |id| title(id) })
            )
          end
      end

      # {task key => [minutes ahead, dancers called or away from all of it]}. What stands for the next days since people
      # were told it is nothing to plan again for, though it is not needed any more.
      def planned
        @ahead.by_task.reject { |key, _| !titles.key?(key) && (own?(key) || @ahead.fixed?(key)) }
          .to_h { |key, (minutes, called)| [key, [minutes, called | @ahead.away_from(key)]] }
      end

      # A review of what would be rusty, and catching up of who misses lessons by the plan itself, come and go with it.
      def own?(key) = %w[review caught].include?(Core::Planning::TaskKey.doing(key))

      def title(key) = titles[key] || @plan.slots.find { |slot| slot.task_key == key }&.title || key
      def titles = @titles ||= @draft.tasks.to_h { |task| [task.id, TaskTitles.of(task)] }
      def slots = @slots ||= @ahead.slots.to_h { |slot| [PlannedSlots.id(slot), slot] }
      def rooms = @rooms ||= @plan.studio.rooms.pluck(:id, :name).to_h
      def name(id) = @snapshot.people[id]&.name.to_s
      def date(conflict) = Date.iso8601(windows.fetch(conflict.window).date)
      def windows = @windows ||= @ahead.problem.windows.to_h { |window| [window.id, window] }
      def list(words) = Shared::Lists.of(words, MOST)
    end
  end
end
