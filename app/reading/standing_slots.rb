# frozen_string_literal: true

module App
  module Reading
    # Slots people were told: those of published, standing plans.
    module StandingSlots
      module_function

      def standing(studio, rehearsals)
        plans = studio.plans.where.not(published_at: nil).where(replaced_at: nil).select(:id)
        studio.slots.where(plan_id: plans, rehearsal_id: rehearsals.map(&:id)).order(:start_minute, :id)
      end
    end
  end
end
