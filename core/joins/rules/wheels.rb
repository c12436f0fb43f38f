# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # Of somebody in a wheelchair: brakes that are on where the next begins to wheel. Hands are on them for about a
      # count.
      class Wheels < Rule
        # nil for everybody who stands, and where the brakes are off.
        def finding
          return unless [leaving, entering].all? { |side| side.body.level.value == :seated }
          return unless leaving.body.wheels.value == :braked && rolls?

          found(:wheels, by_counts(1, 0.5r), leaving.body.wheels, Movement::Known.derived(:free))
        end

        # Brakes off on the last count: [[Mend, Seam as it would be]].
        def mends(_finding)
          [typed(:brakes_off, leaving, amend(leaving).add("brakes off", last_count), at: last_count)]
        end

        private

        # Whether the first that has to do with the wheels turns them.
        def rolls?
          steps = entering.opening.filter_map { |move| move.step && entering.vocabulary.find(move.step) }
          steps.find(&:wheels)&.wheels == :rolling
        end
      end
    end
  end
end
