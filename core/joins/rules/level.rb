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
          %i[standing low] => [1, 0.5r],
          %i[seated standing] => [2, 1],
          %i[standing seated] => [2, 1],
          %i[seated floor] => [2, 1],
          %i[floor seated] => [4, 2],
          %i[seated kneeling] => [2, 1],
          %i[kneeling seated] => [2, 1],
          %i[low floor] => [2, 1],
          %i[floor low] => [2, 1],
          %i[low kneeling] => [1, 0.5r],
          %i[kneeling low] => [1, 0.5r]
        }.freeze
        WORDS = {
          %i[floor standing] => "get up",
          %i[kneeling standing] => "get up",
          %i[low standing] => "get up",
          %i[standing kneeling] => "kneel",
          %i[standing floor] => "lie down",
          %i[floor kneeling] => "rise to knees",
          %i[kneeling floor] => "lie down",
          %i[standing low] => "crouch",
          %i[seated standing] => "stand up",
          %i[standing seated] => "sit on a chair",
          %i[seated floor] => "lie down",
          %i[floor seated] => "sit on a chair",
          %i[seated kneeling] => "kneel",
          %i[kneeling seated] => "sit on a chair",
          %i[low floor] => "lie down",
          %i[floor low] => "crouch",
          %i[low kneeling] => "kneel",
          %i[kneeling low] => "crouch"
        }.freeze
        private_constant :COUNTS, :WORDS

        # The way between levels (standing, kneeling, floor …), against the counts there are.
        def finding
          left = leaving.body.level
          right = needed
          found(:level, verdict(left, right), left, right, facts: doubted(:level))
        end

        # A change of level in the last counts, or a stated one: [[Mend, Seam as it would be], …].
        def mends(finding)
          return answers(finding) if finding.question?

          comfortable, = COUNTS.fetch(key(finding))
          [
            level_change(finding),
            more_counts([comfortable - seam.counts, 1].max.ceil, level: finding.entering.value)
          ].compact
        end

        private

        # What could be so: the entry begins as the other ends, or the other ends as the entry begins.
        def answers(finding)
          left, right = [finding.leaving, finding.entering].map(&:value)
          return [stated(:state_edge, leaving, :exit, { level: right }, level: right)] unless finding.leaving.sure?

          [stated(:state_edge, entering, :entry, { level: left }, level: left), level_change(finding)].compact
        end

        def key(finding) = [landed(finding.leaving.value), landed(finding.entering.value)]
        def landed(level) = level == :air ? :standing : level

        # The level at which the entry begins: stated, or standing where its first feet need that.
        def needed
          level = entering.body.level
          return level if !level.convention? || !steps_out?

          Movement::Known.derived(:standing)
        end

        # The first step danced at the start, or nil.
        def first
          move = entering.opening.find { |each| each.kind == :step && each.layer == :feet }
          move && entering.vocabulary.find(move.step)
        end

        def steps_out?
          step = first
          return false if step.nil? || step.level

          step.needs == :standing || step.weights.intersect?(%i[lead other both]) ||
            %i[free standing].include?(step.foot)
        end

        # Whether the entry goes to a level of its own, from wherever it is.
        def goes_there? = entering.body.level.convention? && !first.nil? && !first.level.nil?

        def verdict(left, right)
          return :fits if goes_there?
          return doubtful(right) unless left.sure?

          pair = [landed(left.value), landed(right.value)]
          return :fits if pair.first == pair.last || !COUNTS.key?(pair)
          return by_counts(*COUNTS.fetch(pair)) unless right.convention?

          entering.opening.any? { |move| move.kind != :silent } ? :question : :fits
        end

        # A level that is only supposed is asked about where the entry needs one.
        def doubtful(right)
          return :fits unless leaving.written?

          right.convention? && !steps_out? ? :fits : :question
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
