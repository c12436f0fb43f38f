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

        # Value, where two people changed the same: the form as it was sent.
        def run
          Shared::SaveForm.run(@piece, -> { FactsForm.of(@piece, @join, @params) }) { |form| save(form.merged) }
        end

        private

        def save(given)
          owner = @piece.studio.people.choreographers.find_by(id: given["owner"][/\A\d{1,18}\z/])
          @piece.join_facts.find_or_initialize_by(join_key: @join.key).update!(
            studio_id: @piece.studio_id,
            owner_id: owner && owner.id != @join.owner ? owner.id : nil,
            note: given["note"].gsub(/\s+/, " ").strip[0, 500]
          )
          @piece.touch
        end
      end
    end
  end
end
