# frozen_string_literal: true

module App
  module Studio
    # What the studio's settings send.
    module Shapes
      SETTINGS = {
        name: :text,
        time_zone: :text,
        was: :text,
        learned_way: :text,
        clean_runs: :text,
        self_reports: :text,
        clips: :text,
        clips_for_dancers: :text,
        words_to_minors: :text,
        rooms_in_calendars: :text,
        paper: :text,
        erase_after: :text,
        **Figures::RANGES.to_h { |name, _| [name.to_sym, :text] }
      }.freeze
    end
  end
end
