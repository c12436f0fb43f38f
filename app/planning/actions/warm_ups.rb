# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Warm-up before the first slot of a rehearsal, cool-down after the last, for whoever is there then; warming up
      # again for those who were idle long in between.
      class WarmUps
        SOON = 15

        def initialize(plan, season)
          @plan = plan
          @season = season
          @care = season.care
          @warm_up = season.warm_up
        end

        # Makes them anew for some rehearsals of the plan.
        def redo(rehearsal_ids)
          slots = @plan.slots.where(rehearsal_id: rehearsal_ids).includes(:slot_people, rehearsal: :rooms).to_a
          old, others = slots.partition(&:frame?)
          CopySlots.remove(@plan, old)
          others.group_by(&:rehearsal).each { |rehearsal, own| make(rehearsal, own) }
        end

        # slots: everything else of the plan in the rehearsal, recap and music included.
        def make(rehearsal, slots)
          first = slots.map(&:start_minute).min
          last = slots.map(&:end_minute).max
          at_an_end(
            rehearsal,
            slots,
            "warm_up",
            first - @warm_up,
            @warm_up,
            slots.select { |each| each.start_minute < first + SOON }
          )
          warm_again(rehearsal, slots)
          at_an_end(
            rehearsal,
            slots,
            "cool_down",
            last,
            @care.cool_down,
            slots.select { |each| each.end_minute == last }
          )
        end

        private

        def dancers(slots)
          slots.flat_map { |slot| slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id) }.uniq
        end

        # Warm-up or cool-down, in a room that is free where there is one.
        def at_an_end(rehearsal, slots, kind, start, minutes, with)
          return unless minutes.positive?

          people = dancers(with)
          slot(
            rehearsal,
            kind,
            start,
            minutes,
            people,
            room:
              free_room(rehearsal, taken(rehearsal, slots), start, minutes, people) || largest_for(rehearsal, people)
          )
        end

        def warm_again(rehearsal, slots)
          return unless @care.re_warm.positive?

          taken = taken(rehearsal, slots)
          work = taken.reject(&:frame?)
          spans =
            dancers(slots).to_h do |id|
              [
                id,
                work
                  .select { |each| each.slot_people.any? { |called| called.person_id == id } }
                  .map { |each| [each.start_minute, each.end_minute] }
              ]
            end
          Core::Planning::ReWarms.new(idle: @care.idle, minutes: @care.re_warm).of(spans).each do |start, people|
            slot(
              rehearsal,
              "re_warm",
              start,
              @care.re_warm,
              people,
              room: free_room(rehearsal, taken, start, @care.re_warm, people)
            )
          end
        end

        # This plan's slots in a rehearsal, and other pieces'.
        def taken(rehearsal, slots) = slots + @season.others.select { |slot| slot.rehearsal_id == rehearsal.id }

        # The smallest room that holds them and that nobody is in then; where there is none, it is done at the side.
        def free_room(rehearsal, taken, start, minutes, people)
          full = taken.select { |each| each.start_minute < start + minutes && start < each.end_minute }.map(&:room_id)
          rehearsal.rooms.sort_by(&:capacity).find { |room| full.exclude?(room.id) && room.capacity >= people.size }
        end

        # The smallest room that holds them all, else the largest.
        def largest_for(rehearsal, people)
          rooms = rehearsal.rooms.sort_by(&:capacity)
          rooms.find { |room| room.capacity >= people.size } || rooms.last
        end

        def slot(rehearsal, kind, start_minute, minutes, people, room:)
          row =
            Records::Slot.create!(
              studio_id: @plan.studio_id,
              plan: @plan,
              rehearsal:,
              kind:,
              task_key: kind,
              title: I18n.t("tasks.#{kind}"),
              start_minute:,
              minutes:,
              room:
            )
          Records::SlotPerson.add_all(
            people.map { |person_id| { studio_id: row.studio_id, slot_id: row.id, person_id:, role: "dancer" } }
          )
        end
      end
    end
  end
end
