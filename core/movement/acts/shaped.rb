# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # Words that name a step and are none: how another is done, how it begins, what it ends in, where nobody lies.
      module Shaped
        POSES = %w[lunge arabesque attitude passé].freeze
        private_constant :POSES

        private

        # Whether a step's name says only more of what was named before.
        def no_step?(step, element)
          return true if step.name == "travel" && current&.foot? # "a turn travelling right": the turn's way

          manner?(element) || shapes?(step, element) || lying_word?(step, element)
        end

        # "to the R knee and slide L out": nobody gets up by it.
        def from_knees? = %i[kneeling floor].include?(current&.step&.level) && following(2)&.word == "out"

        # "switch by jumping": how, and no jump of its own.
        def manner?(element) = before&.word == "by" && element.word.end_with?("ing") && !current.nil?

        # "jazz square crossing left over right": how it begins.
        def crossed_first?(step, element)
          step.name == "cross" && element.word == "crossing" && current&.foot? && current.sides.empty? &&
            current.step.weights.size > 1 && following&.kind == :side
        end

        def crossing
          current.sides << following.value
          current.ways += [following(2).word] if PLACING.include?(following(2)&.word)
          @at += 1
        end

        # Words of a step that only say more of the one before: how it begins, what it ends in, how low it stops.
        def shapes?(step, element)
          if crossed_first?(step, element) then crossing
          elsif posed?(step) || passed?(step) then current.ways += [element.word]
          elsif stops_low?(step, element) then current.step = step
          end
        end

        # "to standing via a squat": on the way.
        def passed?(step)
          on_the_way = [before, before(2)].any? { |each| %w[via through from].include?(each&.word) }
          step.name == "drop" && !current.nil? && on_the_way
        end

        # "melt to a squat": no lower than that.
        def stops_low?(step, element)
          step.name == "drop" && element.word != "down" && current&.step&.level == :floor && !@joined &&
            [before, before(2)].any? { |each| %w[to into].include?(each&.word) }
        end

        # "step right to lunge", "step R into an arabesque": what the step ends in.
        def posed?(step)
          return false unless POSES.include?(step.name) && current&.foot? && !@joined && @sides.empty?

          stepped = current.step.weights.any? && current.sides.any?
          (stepped || current.step.foot == :rise) &&
            [before, before(2)].any? { |each| %w[to into].include?(each&.word) }
        end
      end
    end
  end
end
