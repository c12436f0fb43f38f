# frozen_string_literal: true

module App
  module Actions
    # A plan that may be changed: the newest one where it is a draft, else a copy of it. What people were told stays.
    class DraftOf
      COPIED = %i[kind task_key title start_minute minutes room_id from_link to_link section_ids pinned actual_minutes rehearsal_id].freeze

      def initialize(piece, account)
        @piece = piece
        @account = account
      end

      # [plan, slot]: the draft, and in it the slot that stands for one of the newest plan.
      def of(slot)
        return [slot.plan, slot] unless slot.plan.published?

        Records::Plan.transaction do
          draft = @piece.plans.create!(studio_id: @piece.studio_id, number: @piece.plans.maximum(:number) + 1, account_id: @account.id, result: slot.plan.result, school: slot.plan.school)
          copies = slot.plan.slots.includes(:slot_people).to_h { |old| [old.id, copy(draft, old)] }
          [draft, copies.fetch(slot.id)]
        end
      end

      private

      def copy(draft, old)
        row = Records::Slot.create!(studio_id: draft.studio_id, plan: draft, **old.attributes.symbolize_keys.slice(*COPIED))
        Records::SlotPerson.add_all(old.slot_people.map { |called| { studio_id: row.studio_id, slot_id: row.id, person_id: called.person_id, role: called.role } })
        row
      end
    end
  end
end
