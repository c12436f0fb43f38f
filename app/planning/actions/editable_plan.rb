# frozen_string_literal: true

module App
  module Planning
    module Actions
      # A plan that may be changed: the newest one where it is a draft, else a copy of it. What people were told stays.
      class EditablePlan
        def initialize(piece, account)
          @piece = piece
          @account = account
        end

        # [plan, slot]: the draft, and in it the slot that stands for one of the newest plan.
        def of(slot)
          return [slot.plan, slot] unless slot.plan.published?

          Records::Plan.transaction do
            draft =
              @piece.plans.create!(
                studio_id: @piece.studio_id,
                number: @piece.plans.maximum(:number) + 1,
                account_id: @account.id,
                result: slot.plan.result,
                school: slot.plan.school
              )
            [draft, CopySlots.into(draft, slot.plan.slots.includes(:slot_people)).fetch(slot.id)]
          end
        end
      end
    end
  end
end
