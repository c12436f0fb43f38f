# frozen_string_literal: true

module App
  module Reading
    # What one plan changes of another for each person, rehearsal by rehearsal: new calls, cancelled ones, other times.
    class CallDifference
      Change = Struct.new(:kind, :date, :before, :after, keyword_init: true) do
        def text
          I18n.t(
            "call_changes.#{kind}",
            day: Shared::Dates.day(date),
            before: CallDifference.span(before),
            after: CallDifference.span(after)
          )
        end
      end

      def self.span(times) = times && "#{Formats::Times.clock(times.first)} – #{Formats::Times.clock(times.last)}"

      # old: the plan people know, or nil; only rehearsals from a day on.
      def initialize(piece, old, new, from)
        @piece = piece
        @old = old
        @new = new
        @from = from
      end

      # {person id => [Change]}, in order of dates.
      def all
        before, after = known
        changes =
          (before.keys | after.keys).filter_map do |key|
            (change = change(key, before[key], after[key])) && [key.first, change]
          end
        changes.group_by(&:first).transform_values { |pairs| pairs.map(&:last).sort_by(&:date) }
      end

      # {rehearsal id => {person id => Change}}.
      def by_rehearsal
        before, after = known
        (before.keys | after.keys).each_with_object(Hash.new { |hash, id| hash[id] = {} }) do |key, found|
          (change = change(key, before[key], after[key])) && found[key[1]][key[0]] = change
        end
      end

      private

      def change((_, _, date), before, after)
        return if before == after

        Change.new(kind: if before.nil?
                           :new_call
                         else
                           (after.nil? ? :cancelled : :shifted)
                         end, date:, before:, after:)
      end

      # What people know, and what will hold. A rehearsal that was cancelled after they were told is one they still know
      # of.
      def known
        [
          @old && calls(@old, standing(@old.published_at)),
          calls(@new, standing(@new.published_at || Shared::Clock.now))
        ].map(&:to_h)
      end

      # Rehearsals that had not been cancelled at a moment.
      def standing(moment)
        all = @piece.studio.rehearsals
        all.where(cancelled_at: nil).or(all.where("rehearsals.cancelled_at > ?", moment))
      end

      # {[person, rehearsal, date] => [first minute, last minute]}.
      def calls(plan, rehearsals)
        rows =
          Records::SlotPerson
            .joins("JOIN slots ON slots.id = slot_people.slot_id JOIN rehearsals ON rehearsals.id = slots.rehearsal_id")
            .where(studio_id: @piece.studio_id, slots: { plan_id: plan.id })
            .where(rehearsals: { date: @from.. })
            .merge(rehearsals)
            .pluck("slot_people.person_id", "rehearsals.id", "rehearsals.date", "slots.start_minute", "slots.minutes")
        rows
          .group_by { |row| row.first(3) }
          .transform_values { |same| [same.map { |row| row[3] }.min, same.map { |row| row[3] + row[4] }.max] }
      end
    end
  end
end
