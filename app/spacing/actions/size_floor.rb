# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Sets how wide and deep the floor is.
      class SizeFloor
        METRES = (3..30)

        def initialize(piece, params)
          @piece = piece
          @params = params
        end

        # Value, where something is wrong: the form as it was sent.
        def run
          Shared::SaveForm.run(@piece, -> { FloorForm.of(@piece, @params) }) do |form|
            size = form.merged.slice(*FloorForm::SIZES).transform_values { |text| Float(text, exception: false) }
            next { base: I18n.t("floor.size_faults") } unless fits?(size)

            @piece.update!(settings: @piece.settings.merge("floor" => size))
          end
        end

        private

        def fits?(size) = size.values.all? { |metres| metres && METRES.cover?(metres) }
      end
    end
  end
end
