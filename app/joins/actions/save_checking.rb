# frozen_string_literal: true

module App
  module Joins
    module Actions
      # What a piece's joins are checked for, and whether words nobody knows leave the feet alone.
      class SaveChecking
        def initialize(piece, params)
          @piece = piece
          @params = params
        end

        # Value, where two people changed the same: the form as it was sent.
        def run
          Shared::SaveForm.run(@piece, -> { CheckingForm.of(@piece, @params) }) do |form|
            given = form.merged
            states = CheckingForm::STATES.select { |state| given[state] == "1" }
            @piece.update!(
              settings: @piece.settings.merge(
                "checked_for" => states, "steady_words" => given["steady"] == "1",
                "steps_written" => given["unwritten"] != "1"
              )
            )
          end
        end
      end
    end
  end
end
