# frozen_string_literal: true

module App
  module Reading
    # Rehearsals to which nobody is called by anything people were told, once every piece that is rehearsed was told: a
    # studio that has still to plan one of its pieces will need them.
    module EmptyEvenings
      module_function

      # rehearsals: standing ones, with their rooms. Those of them that are empty, in order.
      def of(studio, rehearsals)
        told = told_plans(studio) or return []
        used = studio.slots.where(plan_id: told, rehearsal_id: rehearsals.map(&:id)).distinct.pluck(:rehearsal_id)
        rehearsals.reject { |each| used.include?(each.id) || each.left_empty || each.kind != "rehearsal" }
      end

      # Ids of plans; nil as long as a piece with an order and dancers has none that was told, or a draft waits.
      def told_plans(studio)
        pieces = studio.pieces.running.select { |piece| piece.links.exists? && piece.castings.exists? }
        plans = pieces.map(&:latest_plan)
        plans.map(&:id) if plans.any? && plans.all? { |plan| plan&.published? }
      end
    end
  end
end
