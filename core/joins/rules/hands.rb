# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # What the hands hold, where anybody typed it: something held that the entry does not expect, or the other way
      # round.
      class Hands < Rule
        # What is held where one side ends, against what the other needs; nil where nobody says.
        def finding
          left = leaving.body.hands
          right = wanted
          return unless left.known? || right.known?
          return if left.value.to_s == "" && right.value.to_s == ""

          found(:hands, verdict(left, right), left, right)
        end

        # Putting down, picking up, or what is held stated: [[Mend, Seam as it would be], …].
        def mends(finding)
          held = finding.leaving.value.to_s
          needed = finding.entering.value.to_s
          if finding.question? && !finding.leaving.known?
            return [stated(:state_edge, leaving, :exit, { hands: needed }, hands: needed), pick_up(needed)].compact
          end
          if finding.question?
            return [stated(:state_edge, entering, :entry, { hands: held }, hands: held), put_down(held)].compact
          end

          [
            needed.empty? ? put_down(held) : pick_up(needed),
            *(leaving.section.exit.key?(:hands) ? [restate(needed), bring(held)] : [])
          ].compact
        end

        private

        # What the entry expects: stated, or in hand when its first move lets go of it.
        def wanted
          known = entering.body.hands
          return known if known.known?

          first = entering.placed.find { |move| move.hands && move.at < 24 }
          if first && first.hands == ""
            Movement::Known.derived(
              first.text.sub(/\A\D*?(?:put down|lay aside|set down|let go of|let go)\s*/i, "")
                .then { |said| said.empty? ? "hands" : said }
            )
          else
            known
          end
        end

        def verdict(left, right)
          return :fits if left.value == right.value
          return :question unless left.known? && right.known?

          :clash
        end

        # What was stated of an edge is stated otherwise.
        def restate(needed) = stated(:state_edge, leaving, :exit, { hands: needed }, hands: needed)

        def bring(held)
          return unless entering.section.entry.key?(:hands)

          stated(:state_edge, entering, :entry, { hands: held }, hands: held)
        end

        def put_down(what)
          leaving.line &&
            typed(
              :put_down,
              leaving,
              amend(leaving).add(what == "hands" ? "let go" : "put down #{what}", last_count),
              at: last_count,
              what:
            )
        end

        def pick_up(what)
          leaving.line &&
            typed(
              :pick_up,
              leaving,
              amend(leaving).add(what == "hands" ? "take hands" : "pick up #{what}", last_count),
              at: last_count,
              what:
            )
        end
      end
    end
  end
end
