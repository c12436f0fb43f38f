# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The days on which a plan has minors in a room and names no adult for them.
      class Unattended
        def initialize(plan)
          @plan = plan
        end

        # [Date] in order.
        def days
          slots = @plan.slots.where(id: alone.pluck(:slot_id))
          @plan.studio.rehearsals.where(id: slots.select(:rehearsal_id)).order(:date).pluck(:date).uniq
        end

        private

        def alone
          called = @plan.studio.slot_people.joins(:person).where(slot_id: @plan.slots.select(:id))
          called.group(:slot_id).having("bool_or(NOT people.adult) AND NOT bool_or(people.adult)")
        end
      end
    end
  end
end
