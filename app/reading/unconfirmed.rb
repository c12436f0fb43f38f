# frozen_string_literal: true

module App
  module Reading
    # Rehearsals behind at which something was to be done, and of which there is neither a register nor a confirmation.
    module Unconfirmed
      module_function

      # rehearsals: [Records::Rehearsal] => those of them.
      def of(studio, rehearsals)
        open = rehearsals.select { |each| each.confirmed_at.nil? }
        held = studio.slots.joins(:plan).where(rehearsal_id: open.map(&:id)).where.not(plans: { published_at: nil })
          .where(plans: { replaced_at: nil }).reorder(nil).distinct.pluck(:rehearsal_id)
        known = studio.attendances.where(rehearsal_id: held).distinct.pluck(:rehearsal_id)
        open.select { |each| (held - known).include?(each.id) }
      end
    end
  end
end
