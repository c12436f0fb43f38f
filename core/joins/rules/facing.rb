# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # Which way the body faces. An eighth of a turn is comfortable in half a count; half a turn in one count is fast.
      class Facing < Rule
        TURNS = { 1 => "eighth", 2 => "quarter", 4 => "half" }.freeze

        # Eighths of a turn between the facings, against the counts there are to turn.
        def finding
          left = leaving.body.facing
          right = entering.body.facing
          facts = { eighths: eighths(left, right)&.abs, **doubted(:facing) }
          found(:facing, verdict(left, right), left, right, facts:)
        end

        # A turn in, or the entering eight faced as the other leaves: [[Mend, Seam as it would be], …].
        def mends(finding)
          left = leaving.body.facing.value if leaving.body.facing.sure?
          right = entering.body.facing.value
          if finding.question?
            return [
              (enter(left) if left),
              (turn(left, right) if left && right && leaving.line),
              (leave(right) if left.nil? && right)
            ].compact
          end

          [
            turn(left, right),
            restate(right),
            enter(left),
            more_counts((eighths(finding.leaving, finding.entering).abs/2r).ceil)
          ].compact
        end

        private

        def verdict(left, right)
          return :fits if left.value == right.value && left.sure?
          return :fits if left.source == :choice && !left.known? && right.convention?
          return asked(left, right) unless left.sure? && said?(right)

          turn = eighths(left, right).abs
          by_counts(turn/2r, turn/4r)
        end

        # Known, and not only as everybody begins.
        def said?(known) = known.sure? && !known.convention?

        def asked(_left, right)
          return :fits unless leaving.written?
          return :fits unless said?(right) || entering.depends?

          :question
        end

        # Signed eighths of the shorter turn, to the right positive; half a turn goes right.
        def eighths(left, right)
          return unless left.known? && right.known?

          turn = (right.value - left.value) % 8
          turn > 4 ? turn - 8 : turn
        end

        def turn(left, right)
          return unless leaving.line && left && right

          by = eighths(leaving.body.facing, entering.body.facing)
          from = last_counts(2)
          words = if TURNS.key?(by.abs)
                    "turn #{TURNS[by.abs]} #{by.positive? ? 'right' : 'left'}"
                  else
                    "face #{FACES.fetch(right)}"
                  end
          typed(
            :turn,
            leaving,
            amend(leaving).add(words, from, from == last_count ? nil : last_count),
            at: from,
            eighths: by.abs,
            way: by.positive? ? :right : :left,
            facing: right
          )
        end

        def restate(facing)
          return stated(:state_edge, leaving, :exit, { facing: }, facing:) if leaving.section.exit.key?(:facing)

          typed(:state_edge, leaving, amend(leaving).state(facing:), facing:) if leaving.line&.exit&.key?(:facing)
        end

        def enter(facing) = stated(:enter_facing, entering, :entry, { facing: }, facing:)
        def leave(facing) = stated(:state_edge, leaving, :exit, { facing: }, facing:)
      end
    end
  end
end
