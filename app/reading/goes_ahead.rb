# frozen_string_literal: true

module App
  module Reading
    # Whether a slot goes ahead when some who are called to it are not there, and how one says so.
    class GoesAhead
      # Kinds that whoever is not there sees another time.
      SHOWN = %w[make learn difference join].freeze
      private_constant :SHOWN

      # draft: PlanDraft of the slot's piece; slot: Records::Slot; out: ids of people who are not there.
      def initialize(draft, slot, out)
        @draft = draft
        @slot = slot
        called = slot.slot_people.group_by(&:role).transform_values { |rows| rows.map(&:person_id) }
        @teachers = called.fetch("teacher", [])
        @dancers = called.fetch("dancer", [])
        @out = out
      end

      def ahead? = !untaught? && !too_few?

      # Dancers who are called and not there: ids.
      def missing = @dancers & @out
      def here = @dancers - @out

      # "Goes ahead: 21 of 24. Ada, Eli and Oli see it on Thu 10 Dec." names: {id => name}; later: {id => Date} of when
      # each comes next.
      def text(names, later = {})
        return waits(names) unless ahead?
        return t("all", count: @dancers.size) if missing.empty?

        said = t("ahead", here: here.size, of: @dancers.size)
        who = Shared::Lists.of(missing.filter_map { |id| names[id] }.sort, 4)
        shown = SHOWN.include?(@slot.kind) ? see_it(who, later) : t("without", names: who)
        "#{said} #{shown}"
      end

      private

      def t(key, **words) = I18n.t("goes_ahead.#{key}", **words)
      def task = @draft.task(@slot.task_key)
      def untaught? = @teachers.any? && (@teachers - @out).empty?
      def too_few? = task ? !task.goes_ahead?(here, @out) : @dancers.any? && here.empty?

      def waits(names)
        return t("nobody_teaches", names: list(@teachers, names)) if untaught?

        needed = task ? (task.dancers - task.may) & @out : []
        return t("too_few", here: here.size, of: @dancers.size) if needed.empty?

        why = @draft.lifts.intersect?(@slot.section_ids) ? "no_lift" : "needs"
        t(why, names: list(needed, names), count: needed.size)
      end

      def list(ids, names) = Shared::Lists.of(ids.filter_map { |id| names[id] }.sort, 3)

      def see_it(who, later)
        dates = later.values_at(*missing).uniq
        return t("next_time", names: who, count: missing.size) unless dates.one? && dates.first

        t("see_it", names: who, count: missing.size, day: Shared::Dates.day(dates.first))
      end
    end
  end
end
