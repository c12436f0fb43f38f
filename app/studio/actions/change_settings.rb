# frozen_string_literal: true

module App
  module Studio
    module Actions
      # The studio's name, time zone and care figures.
      class ChangeSettings
        # Figures that came later: a form without them leaves them.
        LATER = %w[latest_finish re_warm recap to_music].freeze
        IN_FIVES = (Figures::RANGES.keys - ["new_eights"]).freeze

        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        def run
          figures = Figures::RANGES.to_h { |name, _| [name, figure(name)] }
          bad =
            figures.reject do |name, value|
              value && Figures::RANGES[name].cover?(value) && (!IN_FIVES.include?(name) || (value % 5).zero?)
            end
          if bad.any?
            return Shared::Result.no(bad.to_h do |name, _|
              [
                name.to_sym,
                I18n.t(
                  IN_FIVES.include?(name) ? "settings.figure" : "settings.whole",
                  min: Figures::RANGES[name].min,
                  max: Figures::RANGES[name].max
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
