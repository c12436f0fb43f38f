# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # How high the body is. Counts that are comfortable and fast for each change (the handbook's figures); low counts
      # as standing that bends, and whoever is in the air lands.
      class Level < Rule
        COUNTS = {
          %i[floor standing] => [4, 2],
          %i[kneeling standing] => [2, 1],
          %i[standing kneeling] => [2, 1],
          %i[standing floor] => [4, 2],
          %i[floor kneeling] => [2, 1],
          %i[kneeling floor] => [2, 1],
          %i[low standing] => [1, 0.5r],
          %i[standing low] => [1, 0.5r]
        }.freeze
        WORDS = {
          %i[floor standing] => "get up",
          %i[kneeling standing] => "get up",
          %i[low standing] => "get up",
          %i[standing kneeling] => "kneel",
          %i[standing floor] => "lie down",
          %i[floor kneeling] => "rise to knees",
          %i[kneeling floor] => "lie down",
          %i[standing low] => "crouch"
        }.freeze
        private_constant :COUNTS, :WORDS

        # The way between levels (standing, kneeling, floor …), against the counts there are.
        def finding
          left = leaving.body.level
          right = needed
          found(:level, verdict(left, right), left, right)
        end

        # A change of level in the last counts, or a stated one: [[Mend, Seam as it would be], …].
        def mends(finding)
          if finding.question?
            return [
              stated(:state_edge, entering, :entry, { level: finding.leaving.value }, level: finding.leaving.value),
              level_change(finding)
            ].compact
          end

          comfortable, = COUNTS.fetch(key(finding))
          [
            level_change(finding),
            more_counts([comfortable - seam.counts, 1].max.ceil, level: finding.entering.value)
          ].compact
        end

        private

        def key(finding) = [landed(finding.leaving.value), landed(finding.entering.value)]
        def landed(level) = level == :air ? :standing : level

        # The level at which the entry begins: stated, or standing where its first feet need that.
        def needed
          level = entering.body.level
          return level if level.source != :not_stated || !steps_out?

          Movement::Known.derived(:standing)
        end

        def steps_out?
          first = entering.placed.find { |move| move.kind == :step && move.layer == :feet } or return false
          step = @vocabulary.find(first.step)
          first.at < 24 && step.level.nil? &&
            (step.needs == :standing || step.weights.intersect?(%i[lead other]) || step.foot)
        end

        def verdict(left, right)
          pair = [landed(left.value), landed(right.value)]
          return :fits if pair.first == pair.last || !COUNTS.key?(pair)
          return by_counts(*COUNTS.fetch(pair)) unless right.source == :not_stated

          entering.placed.any? { |move| move.at < 24 } ? :question : :fits
        end

        # The change of level within the last counts of the leaving eight.
        def level_change(finding)
          return unless leaving.line

          comfortable, = COUNTS.fetch(key(finding))
          from = last_counts(comfortable)
          typed(
            :level_change,
            leaving,
            amend(leaving).add(WORDS.fetch(key(finding)), from, from == last_count ? nil : last_count),
            at: from,
            level: finding.entering.value
          )
        end
      end
    end
  end
end
