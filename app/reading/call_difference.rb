# frozen_string_literal: true

module App
  module Reading
    # What one plan changes of another for each person, rehearsal by rehearsal: new calls, cancelled ones, other times.
    class CallDifference
      # Days for which people are shown what changed.
      NEWS = 7

      # A change of one person's call to a rehearsal, with its words.
      Change = Struct.new(:kind, :date, :before, :after, keyword_init: true) do
        def text
          I18n.t("call_changes.#{kind}", day: Shared::Dates.day(date), before: span(before), after: span(after))
        end

        # Without the day before it.
        def bare_text = text.sub(/\A[^:]+: /, "")

        private

        def span(times) = times && "#{Formats::Times.clock(times.first)} – #{Formats::Times.clock(times.last)}"
      end

      # One person in one rehearsal.
      Key = Struct.new(:person, :rehearsal, :date)

      # old: the plan people know, or nil; only rehearsals from a day on; beside: ids of plans of other pieces, with
      # which a person's day is one.
      def initialize(piece, old, new, from, beside: [])
        @beside = beside
        @piece = piece
        @old = old
        @new = new
        @from = from
      end

      # {person id => [Change]}, in order of dates.
      def all
        grouped = changes.group_by { |key, _| key.person }
        grouped.transform_values { |pairs| pairs.map(&:last).sort_by(&:date) }
      end

      # {rehearsal id => {person id => Change}}.
      def by_rehearsal
        grouped = changes.group_by { |key, _| key.rehearsal }
        grouped.transform_values { |pairs| pairs.to_h { |key, change| [key.person, change] } }
      end

      private

      # {Key => Change}.
      def changes
        @changes ||= Core::Planning::CallDifference.new(*known).all.to_h do |key, change|
          [key, Change.new(kind: change.kind, date: key.date, before: change.before, after: change.after)]
        end
      end

      # What people know, and what will hold. A rehearsal that was cancelled after they were told is one they still know
      # of.
      def known
        before = @old ? @old.published_at : Shared::Clock.now
        [
          @old || @beside.any? ? calls([*@old&.id, *@beside], standing(before)) : {},
          calls([@new.id, *@beside], standing(@new.published_at || Shared::Clock.now))
        ]
      end

      # Rehearsals that had not been cancelled at a moment.
      def standing(moment)
        all = @piece.studio.rehearsals
        all.where(cancelled_at: nil).or(all.where("rehearsals.cancelled_at > ?", moment))
      end

      # {Key => [first minute, last minute]}.
      def calls(plans, rehearsals)
        rows =
          Records::SlotPerson
            .joins("JOIN slots ON slots.id = slot_people.slot_id JOIN rehearsals ON rehearsals.id = slots.rehearsal_id")
            .where(studio_id: @piece.studio_id, slots: { plan_id: plans })
            .where(rehearsals: { date: @from.. })
            .merge(rehearsals)
            .pluck("slot_people.person_id", "rehearsals.id", "rehearsals.date", "slots.start_minute", "slots.minutes")
        grouped = rows.group_by { |person, rehearsal, date, _, _| Key.new(person, rehearsal, date) }
        grouped.transform_values { |same| [same.map { |row| row[3] }.min, same.map { |row| row[3] + row[4] }.max] }
      end
    end
  end
end
