# frozen_string_literal: true

module App
  module Actions
    # Makes a plan the one people are told; the one before is kept as replaced.
    class PublishPlan
      def initialize(plan, now)
        @plan = plan
        @now = now
      end

      def run
        @plan.piece.with_lock do
          @plan.piece.plans.where(replaced_at: nil).where.not(published_at: nil).where.not(id: @plan.id).update_all(replaced_at: @now)
          @plan.update!(published_at: @plan.published_at || @now, replaced_at: nil)
        end
      end
    end
  end
end
