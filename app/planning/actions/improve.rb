# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Lets the worker go on looking for a better plan than one that was just made.
      module Improve
        # way: "repair" or "anew" where people know a plan already; soon: whether the next days may change too; chosen:
        # whether somebody took it as it is: then a better one is only offered.
        def self.start(plan, way: nil, soon: nil, chosen: true)
          plan.update_columns(
            search: { "state" => "waiting", "share" => 0, "way" => way, "soon" => soon || nil,
                      "chosen" => chosen || nil }.compact
          )
          Jobs::ImprovePlan.ask(plan.studio_id, plan.id, whose: plan.studio, same: plan.piece_id)
        end
      end
    end
  end
end
