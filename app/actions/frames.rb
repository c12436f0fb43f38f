# frozen_string_literal: true

module App
  module Actions
    # Warm-up before the first work of a rehearsal and cool-down after the last, for whoever is there then.
    class Frames
      SOON = 15

      def initialize(plan, season)
        @plan = plan
        @care = season.care
        @warm_up = season.warm_up
      end

      # Makes them anew for some rehearsals of the plan.
      def redo(rehearsal_ids)
        slots = @plan.slots.where(rehearsal_id: rehearsal_ids).includes(:slot_people, rehearsal: :rooms).to_a
        old, work = slots.partition { |slot| !slot.work? }
        Records::SlotPerson.where(studio_id: @plan.studio_id, slot_id: old.map(&:id)).delete_all
        Records::Slot.where(studio_id: @plan.studio_id, id: old.map(&:id)).delete_all
        work.group_by(&:rehearsal).each { |rehearsal, own| make(rehearsal, own) }
      end

      def make(rehearsal, work)
        first = work.map(&:start_minute).min
        last = work.map(&:end_minute).max
        slot(rehearsal, "warm_up", first - @warm_up, @warm_up, dancers(work.select { |each| each.start_minute < first + SOON }))
        slot(rehearsal, "cool_down", last, @care.cool_down, dancers(work.select { |each| each.end_minute == last })) if @care.cool_down.positive?
      end

      private

      def dancers(slots) = slots.flat_map { |slot| slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id) }.uniq

      def slot(rehearsal, kind, start_minute, minutes, people)
        row = Records::Slot.create!(studio_id: @plan.studio_id, plan: @plan, rehearsal:, kind:, task_key: kind, title: I18n.t("tasks.#{kind}"), start_minute:, minutes:, room: room_for(rehearsal, people))
        Records::SlotPerson.add_all(people.map { |person_id| { studio_id: row.studio_id, slot_id: row.id, person_id:, role: "dancer" } })
      end

      # The smallest room that holds them all, else the largest.
      def room_for(rehearsal, people)
        rooms = rehearsal.rooms.sort_by(&:capacity)
        rooms.find { |room| room.capacity >= people.size } || rooms.last
      end
    end
  end
end
