# frozen_string_literal: true

module App
  module Shared
    # Numbers as people write them.
    module Amount
      # 6.0 => "6", 6.5 => "6½", other fractions with one digit.
      def self.of(value)
        whole = value.floor
        return whole.to_s if (value - whole).abs < 0.01
        return "#{whole unless whole.zero?}½" if (value - whole - 0.5).abs < 0.01

        format("%.1f", value)
      end
    end
  end
end
