# frozen_string_literal: true

module Formats
  # Times and lengths as people type them.
  module Times
    CLOCK = /\A([01]?\d|2[0-4]):([0-5]\d)\z/
    DATE = /\A\d{4}-\d{2}-\d{2}\z/

    module_function

    # "18:30" => 1110; nil when it is no time of day.
    def minutes(text)
      match = CLOCK.match(text.to_s.strip) or return
      total = (match[1].to_i * 60) + match[2].to_i
      total if total <= 1440
    end

    # 1110 => "18:30"
    def clock(minutes) = format("%<h>02d:%<m>02d", h: minutes / 60, m: minutes % 60)

    # "4:28", "268", "4 min 28", "4m28s" => 268; nil when it is no length.
    def seconds(text)
      case text.to_s.strip.downcase
      when /\A(\d{1,3}):([0-5]\d)(?:\.\d+)?\z/, /\A(\d{1,3})\s*m(?:in)?(?:utes)?\s*([0-5]?\d)\s*(?:s|sec|seconds)?\z/
        (Regexp.last_match[1].to_i * 60) + Regexp.last_match[2].to_i
      when /\A(\d{1,3})\s*m(?:in)?(?:utes)?\z/ then Regexp.last_match[1].to_i * 60
      when /\A(\d{1,5})\s*(?:s|sec|seconds)?\z/ then Regexp.last_match[1].to_i
      end
    end

    # 268.4 => "4:28"; negative times keep their sign.
    def length(seconds)
      whole = seconds.abs.floor
      "#{'-' if seconds.negative? && whole.positive?}#{whole / 60}:#{format('%02d', whole % 60)}"
    end

    # 91.43 => "1:31.4"
    def tenth(seconds)
      tenths = (seconds.abs * 10).round
      "#{'-' if seconds.negative? && tenths.positive?}#{tenths / 600}:#{format('%04.1f', (tenths % 600) / 10.0)}"
    end
  end
end
