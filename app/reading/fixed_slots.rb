# frozen_string_literal: true

module App
  module Reading
    # What people were told for the next days, as far as it can still be done: it stands in a new plan as it is. A
    # lesson that cannot be held any more falls away, and who cannot come is not called; nothing else moves.
    class FixedSlots
      Identifiers = Records::Mapping::Identifiers
      private_constant :Identifiers

      # draft: PlanDraft.
      def initialize(draft)
        @draft = draft
        @season = draft.season
      end

      # Slots of every kind, in the evenings that are fixed.
      def slots = @slots ||= told.reject { |slot| lost.include?(slot) || !held.include?(slot.rehearsal_id) }

      # {task key => minutes} that they give to what is to be done.
      def done
        work = slots.select(&:work?).group_by(&:task_key).slice(*known)
        work.transform_values { |same| same.sum(&:minutes) }
      end

      # {slot id => [person id]} of those who are away from more than a third of one. Of an evening where a slot fell
      # away, whose hours are others now or where somebody would be cold, since another piece moved, its first slot is
      # named too, with nobody: it is warmed up anew.
      def gone
        @gone ||= begin
          away = slots.to_h { |slot| [slot.id, slot.slot_people.map(&:person_id) & away_from(slot)] }
          evenings = lost.map(&:rehearsal_id) | moved | cold
          first = slots.select { |slot| evenings.include?(slot.rehearsal_id) }.uniq(&:rehearsal_id)
          { **first.to_h { |slot| [slot.id, []] }, **away.reject { |_, people| people.empty? } }
        end
      end

      # {slot id => [person id]} of those who dance it by now, can come, and were not called: they are new, or back.
      # Only where that puts them neither in two places nor too long to work on end.
      def joined
        @joined ||= JoinedCalls.new(
          slots, others: @season.others, care: @season.care, newcomers: method(:newcomers),
                 bands: @draft.piece.studio.people.where(adult: false).pluck(:id, :band).to_h
        ).all
      end

      # ISO date of the last full run among them, or nil.
      def last_run = slots.select { |slot| slot.kind == "run" }.map { |slot| slot.rehearsal.date }.max&.iso8601

      # The first day on which something waits, by the plan that was told, for what is still to be done and not held
      # before it any more, or whoever came to the piece since does not fit into the room; or nil.
      def broken_from
        return if told.empty?

        seen = @draft.past_slots.map(&:task_key)
        standing = (told.select(&:work?) - lost).sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
        waits = @draft.plan.result.fetch("waits", {})
        standing.find do |slot|
          before = waits.fetch(slot.task_key, []).flatten & known
          found = (before - seen).any? || crowded?(slot)
          seen << slot.task_key
          found
        end&.rehearsal&.date
      end

      private

      def told
        ids = @season.fixed.map(&:id)
        @told ||= ids.any? ? @draft.plan.slots.where(rehearsal_id: ids).includes(:slot_people, :rehearsal).to_a : []
      end

      def newcomers(slot)
        @draft.task(slot.task_key)&.dancers.to_a - slot.slot_people.map(&:person_id) - away_from(slot)
      end

      def crowded?(slot)
        dancing = slot.slot_people.count { |each| each.role == "dancer" } + newcomers(slot).size
        room = @season.rooms_of(slot.rehearsal).find { |each| each.id == slot.room_id }
        newcomers(slot).any? && !room.nil? && dancing > room.capacity
      end

      def known = @known ||= @draft.tasks.map(&:id)

      # Lessons that cannot be held: somebody without whom they are not done is away, or too many are, or the room is
      # gone.
      def lost
        @lost ||= told.reject(&:warm_up?).select { |slot| roomless?(slot) || outside?(slot) || broken?(slot) }
      end

      # Ids of evenings in which something is still worked on.
      def held = @held ||= (told.select(&:work?) - lost).map(&:rehearsal_id).uniq

      # The rehearsal has other hours now, with time to warm up before it and to cool down, or is of another kind.
      def outside?(slot)
        evening = slot.rehearsal
        around = moved.include?(evening.id) ? [@season.warm_up, @season.care.cool_down] : [0, 0]
        slot.start_minute < evening.start_minute + around.first || slot.end_minute > evening.end_minute - around.last ||
          Core::Planning::EveningKinds::TAKES[evening.kind]&.exclude?(slot.kind)
      end

      # Ids of evenings whose hours no longer hold all that was told, warming up and cooling down too.
      def moved
        @moved ||= told.reject { |slot| within?(slot) }.map(&:rehearsal_id).uniq
      end

      # Ids of evenings for which somebody comes from nothing any more, and was not called to warm up.
      def cold
        days = told.any? ? ColdStarts.new(@draft.plan, @season).days.keys : []
        told.map(&:rehearsal).select { |evening| days.include?(evening.date) }.map(&:id).uniq
      end

      def within?(slot)
        slot.start_minute >= slot.rehearsal.start_minute && slot.end_minute <= slot.rehearsal.end_minute
      end

      def roomless?(slot) = slot.room_id && @season.rooms_of(slot.rehearsal).map(&:id).exclude?(slot.room_id)

      def broken?(slot) = !GoesAhead.new(@draft, slot, away_from(slot)).ahead?

      def away_from(slot)
        @away ||= AwayFrom.new(@season)
        (@known_away ||= {})[slot.id] ||= @away.of(slot)
      end
    end
  end
end
