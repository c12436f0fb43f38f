# frozen_string_literal: true

module App
  module Studio
    # The studio's figures of care, and what each may be: minutes, eights, or a minute of the day.
    module Figures
      RANGES = {
        "warm_up" => 5..60,
        "cool_down" => 0..30,
        "re_warm" => 0..15,
        "recap" => 0..20,
        "to_music" => 0..20,
        "max_continuous" => 20..120,
        "rest" => 5..60,
        "daily_minutes" => 30..720,
        "new_eights" => 1..40,
        "latest_finish" => 720..1440,
        "erase_after" => 0..3650,
        "quiet_from" => 0..1439,
        "quiet_to" => 0..1439
      }.freeze
      # Those that are a time of day.
      CLOCKS = %w[latest_finish quiet_from quiet_to].freeze
    end
  end
end
