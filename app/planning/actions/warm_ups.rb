# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Writes who warms up where (Core::Planning::WarmUps) around a plan's slots.
      class WarmUps
        # season: Records::Mapping::Seasons of the plan's piece.
        def initialize(plan, season)
          @plan = plan
          @season = season
        end

        # Makes them anew for some rehearsals of the plan.
        def redo(rehearsal_ids)
          slots = @plan.slots.where(rehearsal_id: rehearsal_ids).includes(:slot_people, rehearsal: :rooms).to_a
          old, others = slots.partition(&:warm_up?)
          CopySlots.remove(@plan, old)
          others.group_by(&:rehearsal).each { |rehearsal, own| make(rehearsal, own) }
        end

        # slots: everything else of the plan in the rehearsal, recap and music included.
        def make(rehearsal, slots)
          others = @season.others.select { |slot| slot.rehearsal_id == rehearsal.id }
          wanted =
            Core::Planning::WarmUps.new(
              slots.map { |slot| block(slot) },
              others: others.map { |slot| block(slot) },
              rooms: rehearsal.open_rooms.map { |room| [room.id, room.capacity] },
              care: @season.care,
              warm_up: @season.warm_up
            )
          wanted.all.each { |each| write(rehearsal, each) }
          NameAdults.new(@plan, @season).run(rehearsal)
        end

        private

        def block(slot)
          dancers = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
          Core::Planning::WarmUps::Block.new(
            start: slot.start_minute,
            finish: slot.end_minute,
            dancers:,
            room: slot.room_id,
            work: !slot.warm_up?
          )
        end

        def write(rehearsal, wanted)
          row =
            Records::Slot.create!(
              studio_id: @plan.studio_id,
              plan: @plan,
              rehearsal:,
              kind: wanted.kind,
              task_key: wanted.kind,
              title: I18n.t("tasks.#{wanted.kind}"),
              start_minute: wanted.start,
              minutes: wanted.minutes,
              room_id: wanted.room
            )
          Records::SlotPerson.add_all(
            wanted.dancers.map do |person_id|
              { studio_id: row.studio_id, slot_id: row.id, person_id:, role: "dancer" }
            end
          )
        end
      end
    end
  end
end
