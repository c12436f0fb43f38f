# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Lets the worker go on looking for a better plan than one that was just made.
      module Improve
        # way: "repair" or "anew" where people know a plan already; soon: whether the next days may change too.
        def self.start(plan, way: nil, soon: nil)
          plan.update_columns(
            search: { "state" => "waiting", "share" => 0, "way" => way, "soon" => soon || nil }.compact
          )
          Jobs::ImprovePlan.ask(plan.studio_id, plan.id, whose: plan.studio, same: plan.piece_id)
        end
      end
    end
  end
end
