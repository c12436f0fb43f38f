# frozen_string_literal: true

module App
  module Actions
    # What a plan should aim at: full runs, days before the show by which they are done, cleaning.
    class SaveWishes
      RANGES = { "full_runs" => 0..20, "ready_days" => 0..120 }.freeze
      CLEANING = [0.0, 0.15, 0.3, 0.6, 1.0].freeze

      def initialize(piece, params)
        @piece = piece
        @params = params
      end

      def run
        figures = RANGES.to_h { |name, range| [name, Integer(@params[name].to_s, exception: false)&.then { |value| value if range.cover?(value) }] }
        cleaning = CLEANING.find { |share| (share - @params["cleaning"].to_f).abs < 0.001 }
        return Result.no({ base: I18n.t("plans.wishes_faults") }) if figures.value?(nil) || cleaning.nil?

        @piece.update!(settings: @piece.settings.merge(figures).merge("cleaning" => cleaning))
        Result.ok
      end
    end
  end
end
