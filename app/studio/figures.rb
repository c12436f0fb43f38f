# frozen_string_literal: true

module App
  module Studio
    # The studio's figures of care, and what each may be: minutes, eights, or a minute of the day.
    module Figures
      RANGES = Records::StudioSettings::RANGES
      # Those that are a time of day.
      CLOCKS = %w[latest_finish quiet_from quiet_to].freeze
    end
  end
end
