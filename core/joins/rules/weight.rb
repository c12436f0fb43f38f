# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # The foot that the entry steps out on must be free. Both feet bearing, seated and the floor leave either foot
      # free; what is the dancer's own choice, supposed or not said is asked.
      class Weight < Rule
        # Whether the foot that begins is the one that is free.
        def finding
          left = leaving.body.weight
          right = entering.body.weight
          found(:weight, verdict(left, right), left, right, facts: { **doubted(:weight), **words })
        end

        # A weight change, a touch, another start, the other side: [[Mend, Seam as it would be], …].
        def mends(finding)
          return [answer].compact if finding.question?

          wanted = OTHER.fetch(leaving.body.weight.value)
          [change(wanted), touch, restate(wanted), turned_eight, turned_link].compact
        end

        private

        def verdict(left, right)
          return :fits if [left.value, right.value].include?(:seated)
          return :question if open_start?(right) && leaving.written? && !both?(left)
          return :fits if !OTHER.key?(right.value) || !right.sure?
          return left.value == right.value || !OTHER.key?(left.value) ? :fits : :clash if left.sure?

          leaving.written? && entering.first_foot? ? :question : :fits
        end

        # Whether nobody knows which foot begins: a word stands there, or not everybody begins with the same.
        def open_start?(right)
          return right.source == :supposed unless entering.unknown

          right.source != :stated && !seam.steady?
        end

        # What it hangs on, where words nobody knows are taken to leave the feet alone.
        def words
          doubt = leaving.doubt(:words) if seam.steady?
          doubt ? { if_words: doubt.move.text } : {}
        end

        # Whatever comes, it can come.
        def both?(left) = left.sure? && !OTHER.key?(left.value)

        def answer
          weight = entering.body.weight.value if entering.body.weight.sure?
          OTHER.key?(weight) ? stated(:state_edge, leaving, :exit, { weight: }, weight:) : nil
        end

        # A weight change on the last count where nothing is danced on it, else on its "and".
        def change(foot)
          at = free_place or return
          typed(:weight_change, leaving, amend(leaving).add("close #{FOOT.fetch(foot)}", at), at:, foot:)
        end

        def free_place
          return unless leaving.line

          [last_count, last_count + 6].find do |at|
            leaving.line.placed.none? do |move|
              move.at >= at || (move.end_at > at && %i[hold step].include?(move.kind) && move.length)
            end
          end
        end

        # The last step becomes a touch: the weight stays where it was.
        def touch
          last = leaving.line&.placed&.max_by(&:at)
          return unless last && %w[step close cross].include?(last.step) && last.side

          typed(
            :touch_instead,
            leaving,
            amend(leaving).replace(last, "touch #{FOOT.fetch(last.side)}"),
            at: last.at,
            foot: last.side
          )
        end

        def restate(foot)
          if leaving.section.exit.key?(:weight)
            return stated(:state_edge, leaving, :exit, { weight: foot }, weight: foot)
          end

          return unless leaving.line&.exit&.key?(:weight)

          typed(:state_edge, leaving, amend(leaving).state(weight: foot), weight: foot)
        end

        def turned_eight = entering.line && typed(:mirror_eight, entering, amend(entering).turned_over)

        def turned_link
          mend = Mend.new(change: :mirror_link, link: entering.place.index, edit: Edit::OtherSide.new)
          [mend, seam.trying(entering: entering.turned_over)]
        end
      end
    end
  end
end
