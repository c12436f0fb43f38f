# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Slots of one plan taken over into another, with everybody called to them and the minutes they really took.
      module CopySlots
        FIELDS = %i[
          kind
          task_key
          title
          start_minute
          minutes
          room_id
          from_link
          to_link
          section_ids
          eights
          names
          pinned
          actual_minutes
          rehearsal_id
        ].freeze

        module_function

        # {id of an old slot => the new one}.
        def into(plan, slots)
          slots.to_h do |old|
            row =
              Records::Slot.create!(studio_id: plan.studio_id, plan:, **old.attributes.symbolize_keys.slice(*FIELDS))
            Records::SlotPerson.add_all(
              old.slot_people.map do |called|
                { studio_id: row.studio_id, slot_id: row.id, person_id: called.person_id, role: called.role }
              end
            )
            [old.id, row]
          end
        end

        # Takes slots out of a plan.
        def remove(plan, slots)
          plan.studio.slot_people.where(slot_id: slots.map(&:id)).delete_all
          plan.slots.where(id: slots.map(&:id)).delete_all
          plan.slots.reset
        end
      end
    end
  end
end
