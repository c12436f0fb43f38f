# frozen_string_literal: true

module Core
  module Learning
    # How much of something danced before is likely still there: retention 0.9 ** (days since ÷ strength).
    # Strength is 4 days and grows by 1.8 with each separate day danced at tempo or better, at most 60
    # (a forgetting curve of the usual exponential form; the figures are the studio's starting values).
    class Freshness < Values::Value.of(:days, :last_danced_on)
      FIRST = 4.0
      GROWTH = 1.8
      MOST = 60.0
      FADING = 0.9
      RUSTY = 0.75

      # Days after which a tenth is gone: FIRST, times GROWTH for each further day of dancing it, at most MOST.
      def strength = [FIRST * (GROWTH**[days - 1, 0].max), MOST].min

      # Share from 0 to 1 on a Date; nil when never danced.
      def retention(today) = last_danced_on && (0.9**((today - last_danced_on).to_i.clamp(0, 10_000) / strength))

      # The first day on which it is rusty if it is not danced before.
      def rusty_on = last_danced_on + (strength * Math.log(RUSTY) / Math.log(0.9)).floor + 1

      # :fresh, :fading, :rusty, or nil when it was never danced.
      def on(today)
        kept = retention(today) or return
        return :rusty if kept < RUSTY

        kept < FADING - 1e-9 ? :fading : :fresh
      end
    end
  end
end
