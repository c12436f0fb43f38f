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

        def run
          @piece.with_lock do
            form = FloorForm.of(@piece, @params)
            next Shared::Result.no({ base: both(form) }) if form.conflicts.any?

            size = form.merged.slice(*FloorForm::SIZES).transform_values { |text| Float(text, exception: false) }
            unless size.values.all? { |metres| metres && METRES.cover?(metres) }
              next Shared::Result.no({ base: I18n.t("floor.size_faults") })
            end

            @piece.update!(settings: @piece.settings.merge("floor" => size))
            Shared::Result.ok
          end
        end

        private

        def both(form)
          sizes = form.conflicts.map { |each| I18n.t("floor.both.#{each.name}", mine: each.mine, theirs: each.theirs) }
          "#{I18n.t('forms.both')} #{sizes.join(' ')}"
        end
      end
    end
  end
end
