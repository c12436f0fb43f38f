# frozen_string_literal: true

module App
  module Studio
    module Actions
      # The studio's name, time zone and care figures.
      class ChangeSettings
        def initialize(studio, params)
          @studio = studio
          @params = params
        end

        # Value, where something is wrong: the form as it was sent.
        def run
          Shared::SaveForm.run(@studio, -> { SettingsForm.of(@studio, @params) }) do |form|
            @given = form.merged
            faults = wrong_figures.merge(wrong_learning)
            faults.any? || save ? faults : first_errors
          end
        end

        private

        def save
          @studio.assign_attributes(
            name: @given["name"],
            time_zone: @given["time_zone"],
            settings: @studio.settings.merge(figures).merge(learning).merge("paper" => paper)
          )
          @studio.transaction { @studio.save && count_anew }
        end

        def paper = @given["paper"] == "letter" ? "letter" : "a4"

        # What counts as learned changed: whoever has read a piece reads it again.
        def count_anew
          return true unless @studio.saved_change_to_settings?

          @studio.pieces.order(:id).each { |piece| Records::Mapping::Learnings.read_anew(piece) }
        end

        def learning
          {
            "learned_way" => @given["learned_way"],
            "clean_runs" => Integer(@given["clean_runs"], exception: false),
            **%w[self_reports clips clips_for_dancers words_to_minors rooms_in_calendars].to_h do |name|
              [name, @given[name] == "yes"]
            end
          }
        end

        def wrong_learning
          Core::Learning::Way.new(name: learning["learned_way"], runs: learning["clean_runs"].to_i)
          {}
        rescue Core::ValueError => e
          { clean_runs: I18n.t("settings.#{e.path == 'runs' ? 'clean_runs' : 'learned_way'}") }
        end

        def first_errors = @studio.errors.to_hash.transform_values(&:first)
        def figures = Figures::RANGES.keys.to_h { |name| [name, figure(name)] }

        def wrong_figures
          figures.reject { |name, value| right?(name, value) }.to_h do |name, _|
            range = Figures::RANGES[name]
            next [name.to_sym, I18n.t("settings.clock")] if name.start_with?("quiet")

            kind = Records::StudioSettings::IN_FIVES.include?(name) ? "figure" : "whole"
            [name.to_sym, I18n.t("settings.#{kind}", min: range.min, max: range.max)]
          end
        end

        def right?(name, value) = Records::StudioSettings.figure?(name, value)

        # Minutes, or a time of day.
        def figure(name)
          if Figures::CLOCKS.include?(name)
            Formats::Times.minutes(@given[name])
          else
            Integer(@given[name],
                    exception: false)
          end
        end
      end
    end
  end
end
