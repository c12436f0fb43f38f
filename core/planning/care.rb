# frozen_string_literal: true

module Core
  module Planning
    # Minutes kept for people's bodies. A planning aid: local rules and qualified people decide.
    class Care < Values::Value.of(warm_up: 15, long_warm_up: 20, cool_down: 5, max_continuous: 55, rest: 5)
      DEMANDING = %w[back_bend splits floor_work jump lift knee_drop].freeze

      # Warm-up minutes before work with these hazards.
      def warm_up_for(hazards) = hazards.intersect?(DEMANDING) ? long_warm_up : warm_up
    end
  end
end
