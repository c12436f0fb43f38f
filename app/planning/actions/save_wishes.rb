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

        def run
          figures =
            RANGES.to_h do |name, range|
              [name, Integer(given(name), exception: false)&.then { |value| value if range.cover?(value) }]
            end
          cleaning = Records::Piece::CLEANING.find { |share| (share - @params["cleaning"].to_f).abs < 0.001 }
          return Shared::Result.no({ base: I18n.t("plans.wishes_faults") }) if figures.value?(nil) || cleaning.nil?

          return Shared::Result.no({ base: I18n.t("plans.deadline_faults") }) if deadlines.nil?

          @piece.update!(
            settings:
              @piece.settings.merge(figures)
                .merge("cleaning" => cleaning, "deadlines" => deadlines, "quorum" => figures["quorum"] / 100.0)
          )
          Shared::Result.ok
        end

        private

        # A form without the quorum leaves it.
        def given(name)
          name == "quorum" && @params[name].nil? ? (@piece.setting("quorum") * 100).round.to_s : @params[name].to_s
        end

        # Dates as given, all on or before the show; nil when one is none.
        def deadlines
          given = Records::Piece::DEADLINES.to_h { |name| [name, @params[name].to_s] }.reject { |_, text| text.empty? }
          dates = given.values.map { |text| Date.iso8601(text) }
          editing = @params["editing_days"].to_s.empty? ? 0 : Integer(@params["editing_days"].to_s)
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
