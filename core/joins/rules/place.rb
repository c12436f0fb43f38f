# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # The way from spot to spot: 0.6 m a count is comfortable and 1.2 m fast at 110 beats a minute, scaled by the
      # tempo. Without measured spots, places in words are compared.
      class Place < Rule
        COMFORTABLE = 0.6
        FAST = 1.2
        AT_BPM = 110.0

        # Metres from where people end to where they begin, by pace; else the places as stated.
        def finding
          return measured if seam.metres

          left = leaving.body.place
          right = entering.body.place
          return unless left.known? || right.known?

          found(:place, verdict(left, right), left, right)
        end

        # More counts to get there, or the place stated: [[Mend, Seam as it would be], …].
        def mends(finding)
          return [more_counts(missing)] if seam.metres
          return [] unless finding.leaving.known?

          same = { place: finding.leaving.value }
          [stated(:state_edge, entering, :entry, same, **same), more_counts(4)]
        end

        private

        # Metres that can be gone in a count.
        def a_count(metres) = metres * AT_BPM / seam.bpm * entering.section.beats_per_count

        def measured
          found(
            :place,
            by_counts(seam.metres / a_count(COMFORTABLE), seam.metres / a_count(FAST)),
            Movement::Known.derived(""),
            Movement::Known.derived(""),
            facts: { metres: seam.metres.round(1) }
          )
        end

        def missing = ((seam.metres / a_count(COMFORTABLE)) - seam.counts).ceil.clamp(1, 32)

        def verdict(left, right)
          return :fits if left.value == right.value
          return :fits unless left.known? && right.known?

          seam.counts.positive? ? :question : :clash
        end
      end
    end
  end
end
