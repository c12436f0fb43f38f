# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # What a verb means with the part it is said of: "slide the leg out", "place the toe", "left knee joins it".
      module Meant
        PLACING_WORDS = %w[place places].freeze
        # Step => whether it is another one here, and which.
        WAYS = {
          "slide" => [:leg_slides?, "lift"], "rock" => [:onto_ahead?, "step"],
          "fall forward" => [:onto_ahead?, "step"], "pick up" => [:foot_picked?, "lift"],
          "close" => [:knee_closes?, "kneel"], "put" => [:knee_joins?, "kneel"]
        }.freeze
        private_constant :PLACING_WORDS, :WAYS

        private

        # "flick the hair": also of what is no open verb by itself.
        def open?(step, element) = step.open || (element.word.start_with?("flick") && part_ahead?)

        def begin_step(step, element)
          put_sides if @sides.any? && (side_steps?(step, element) || steps_before?(step))
          round = turn_first(element)
          other = other_step(step, element)
          step = @vocabulary.find(other) if other
          start(element, step:, sides: own_sides, noun: @noun, round:)
          @noun = nil
        end

        # What a verb is with the part it is said of: "slide the leg out", "place the toe", "left knee joins it".
        def other_step(step, element)
          way = WAYS[step.name]
          return way.last if way && send(way.first)

          "touch" if PLACING_WORDS.include?(element.word) && toe_ahead?
        end

        def leg_slides? = @noun == "leg" || from_knees?
        def knee_closes? = @noun == "knee"
        def foot_picked? = foot_ahead? || (!part_ahead? && side_ahead?)

        # Whether it is said of a foot: "foot goes down", "the other knee comes down".
        def foot_said? = foot_ahead? || @noun == "knee" || (!@noun.nil? && @sides.any?)

        # "pick up the right".
        def side_ahead?
          ahead = @elements[(@at + 1)..].reject { |each| each.kind == :filler }
          ahead.first&.kind == :side && %i[foot and with].include?(ahead[1]&.kind || :and)
        end

        # "rock forward onto the right": there the weight is, and nobody has said that it goes back.
        def onto_ahead? = @elements[(@at + 1), 3].to_a.any? { |each| each.word == "onto" }

        # "bring the left knee next to it": down there.
        def knee_joins?
          words = @elements[@at..].map(&:word)
          words.include?("knee") && words.intersect?(%w[next beside meet join together])
        end

        def toe_ahead?
          ahead = @elements[(@at + 1)..].find { |each| !%i[filler side].include?(each.kind) }
          %w[toe heel].include?(ahead&.word)
        end
      end
    end
  end
end
