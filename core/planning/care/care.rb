# frozen_string_literal: true

module Core
  module Planning
    # Minutes kept for people's bodies. A planning aid: local rules and qualified people decide.
    # idle: minutes after which a dancer is cold again; re_warm: minutes of warming up then, 0 for never.
    class Care < Values::Value.of(
      warm_up: 15, long_warm_up: 20, cool_down: 5, max_continuous: 55, rest: 5, idle: 20, re_warm: 5
    )
      DEMANDING = %w[back_bend splits floor_work jump lift knee_drop].freeze

      # Warm-up minutes before work with these hazards.
      def warm_up_for(hazards) = hazards.intersect?(DEMANDING) ? long_warm_up : warm_up

      # When a dancer cannot work who is away from one minute to another (nil: all along) of a day with a rehearsal:
      # whoever misses the warm-up warms up after coming, whoever was gone for long warms up again, and whoever leaves
      # before the cool-down does theirs first.
      #
      #   Care.new.away(1020, 1080, opening: 1035, closing: 1200)  # => [1020, 1095]
      def away(from, to, opening:, closing:, warm_up: self.warm_up)
        from ||= 0
        to ||= 1440
        return [from, to] if to <= opening || from >= closing

        missed_warm_up = from < opening + warm_up
        gone_long = Warmth.new(idle:, again: re_warm).cold_after?(to - from)
        coming = { true => warm_up, false => gone_long ? re_warm : 0 }[missed_warm_up]
        [to > closing - cool_down ? [from - cool_down, 0].max : from, to >= closing ? to : to + coming]
      end
    end
  end
end
