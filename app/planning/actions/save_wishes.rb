# frozen_string_literal: true

module App
  module Planning
    module Actions
      # What a plan should aim at: full runs, days before the show by which they are done, cleaning.
      class SaveWishes
        RANGES = { "full_runs" => 0..20, "ready_days" => 0..120, "quorum" => 50..100 }.freeze

        def initialize(piece, params)
          @piece = piece
          @params = params
        end

        # Value, where something is wrong: the form as it was sent.
        def run
          Shared::SaveForm.run(@piece, -> { WishesForm.of(@piece, @params) }) do |form|
            @given = form.merged
            fault = faults
            next { base: fault } if fault

            @piece.update!(settings: @piece.settings.merge(settings))
          end
        end

        private

        def faults
          return I18n.t("plans.wishes_faults") if figures.value?(nil) || cleaning.nil?

          I18n.t("plans.deadline_faults") if deadlines.nil?
        end

        def settings
          { **figures, "cleaning" => cleaning, "deadlines" => deadlines, "quorum" => figures["quorum"] / 100.0 }
        end

        def figures
          RANGES.to_h do |name, range|
            value = Integer(@given[name], exception: false)
            [name, (value if range.cover?(value))]
          end
        end

        def cleaning = Records::Piece::CLEANING.find { |share| (share - @given["cleaning"].to_f).abs < 0.001 }

        # Dates as given, all on or before the show; nil when one is none.
        def deadlines
          given = @given.slice(*Records::Piece::DEADLINES).reject { |_, text| text.empty? }
          dates = given.values.map { |text| Date.iso8601(text) }
          editing = @given["editing_days"].empty? ? 0 : Integer(@given["editing_days"])
          if dates.all? { |date| @piece.show_date.nil? || date <= @piece.show_date } && editing.between?(0, 120)
            given.merge("editing_days" => editing)
          end
        rescue ArgumentError
          nil
        end
      end
    end
  end
end
