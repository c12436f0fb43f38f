# frozen_string_literal: true

module App
  module Runs
    # What the form under a trouble spot says of it: its kind, and whose it was: "everyone", "g12" a group, or people.
    module TroubleForm
      module_function

      # {kind:, group:, people:, everyone:, at:}, as Actions::SayTrouble takes it.
      def words(piece, params)
        whose = params["whose"].to_s
        group = piece.groups.find_by(id: whose.delete_prefix("g").to_i) if whose.start_with?("g")
        {
          kind: params["kind"].presence, group:, everyone: whose == "everyone",
          people: whose == "people" ? piece.castings.where(person_id: params["people"].to_a).pluck(:person_id) : [],
          at: (Shared::Clock.now.to_f * 1000).to_i
        }
      end
    end
  end
end
