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
            next Shared::Result.ok(row.destroy!) if @way.nil? && row.persisted?
            next Shared::Result.ok if @way.nil?

            row.update!(
              studio_id: @piece.studio_id, way: @way, account_id: @account.id, by_name: @account.name,
              created_at: Shared::Clock.now
            )
            Shared::Result.ok
          end
        end
      end
    end
  end
end
