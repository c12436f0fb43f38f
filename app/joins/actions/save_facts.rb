# frozen_string_literal: true

module App
  module Joins
    module Actions
      # Whose a join is, when it is not the entering choreographer's, and a note on it.
      class SaveFacts
        def initialize(piece, join, params)
          @piece = piece
          @join = join
          @params = params
        end

        def run
          row = @piece.join_facts.find_or_initialize_by(join_key: @join.key)
          owner = @piece.studio.people.choreographers.find_by(id: @params["owner"].to_s[/\A\d{1,18}\z/])
          row.update!(
            studio_id: @piece.studio_id,
            owner_id: owner && owner.id != @join.owner ? owner.id : nil,
            note: @params["note"].to_s.gsub(/\s+/, " ").strip[0, 500]
          )
          @piece.touch
        end
      end
    end
  end
end
