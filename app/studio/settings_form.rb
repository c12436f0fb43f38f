# frozen_string_literal: true

module App
  module Studio
    # The studio's name, time zone and figures of care, as typed.
    module SettingsForm
      module_function

      def of(studio, sent = nil)
        Shared::OpenForm.new(now(studio), sent: sent&.slice(*now(studio).keys, "was"))
      end

      def now(studio)
        figures = Figures::RANGES.keys.to_h { |name| [name, studio.setting(name)] }
        Figures::CLOCKS.each { |name| figures[name] = Formats::Times.clock(figures[name]) }
        {
          "name" => studio.name_in_database,
          "time_zone" => studio.time_zone_in_database,
          "paper" => studio.setting("paper"),
          **figures,
          **learning(studio)
        }
      end

      # What counts as learned, what dancers report and see, and whether there are clips.
      def learning(studio)
        {
          "learned_way" => studio.setting("learned_way"),
          "clean_runs" => studio.setting("clean_runs").to_s,
          **%w[self_reports clips clips_for_dancers words_to_minors rooms_in_calendars].to_h do |name|
            [name, studio.setting(name) ? "yes" : "no"]
          end
        }
      end

      def label(name)
        I18n.t(Figures::RANGES.key?(name) ? "settings.figures.#{name}" : "settings.fields.#{name}")
      end

      def conflicts(form) = form.conflicts.map { |each| [label(each.name), each.mine, each.theirs] }
    end
  end
end
