# frozen_string_literal: true

module App
  module Joins
    module Actions
      # "See it in the room", "leave open": a question that waits for no answer any more; and back again.
      class PutOff
        # one: Reading::OpenQuestions::One; way: "room", "open", or nil to ask again.
        def initialize(piece, one, way, account)
          @piece = piece
          @one = one
          @way = way
          @account = account
        end

        def run
          @piece.alone(:editing) do
            row = @piece.asides.find_or_initialize_by(question: @one.key)
            @way ? keep(row) : row.persisted? && row.destroy!
            Shared::Result.ok
          end
        end

        private

        def keep(row)
          row.update!(
            studio_id: @piece.studio_id, way: @way, account_id: @account.id, by_name: @account.name,
            created_at: Shared::Clock.now
          )
        end
      end
    end
  end
end
