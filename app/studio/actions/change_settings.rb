# frozen_string_literal: true

module App
  module Studio
    module Actions
      # The studio's name, time zone and care figures.
      class ChangeSettings
        FIGURES = {
          "warm_up" => 5..60,
          "cool_down" => 0..30,
          "re_warm" => 0..15,
          "recap" => 0..20,
          "to_music" => 0..20,
          "max_continuous" => 20..120,
          "rest" => 5..60,
          "daily_minutes" => 30..720,
          "new_eights" => 1..40,
          "latest_finish" => 720..1440
        }.freeze
        # Figures that came later: a form without them leaves them.
        LATER = %w[latest_finish re_warm recap to_music].freeze
        IN_FIVES = (FIGURES.keys - ["new_eights"]).freeze

        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        def run
          figures = FIGURES.to_h { |name, _| [name, figure(name)] }
          bad =
            figures.reject do |name, value|
              value && FIGURES[name].cover?(value) && (!IN_FIVES.include?(name) || (value % 5).zero?)
            end
          if bad.any?
            return Shared::Result.no(bad.to_h do |name, _|
              [
                name.to_sym,
                I18n.t(
                  IN_FIVES.include?(name) ? "settings.figure" : "settings.whole",
                  min: FIGURES[name].min,
                  max: FIGURES[name].max
                )
              ]
            end)
          end

          @studio.assign_attributes(
            name: @params["name"].to_s.strip,
            time_zone: @params["time_zone"].to_s,
            settings: @studio.settings.merge(figures)
          )
          @studio.save ? Shared::Result.ok : Shared::Result.no(@studio.errors.to_hash.transform_values(&:first))
        end

        private

        # Minutes, or a time of day for the latest finish; what was not sent stays as it is.
        def figure(name)
          text = @params[name].to_s
          return @studio.setting(name) if text.empty? && LATER.include?(name)

          name == "latest_finish" ? Formats::Times.minutes(text) : Integer(text, exception: false)
        end
      end
    end
  end
end
