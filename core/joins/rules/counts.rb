# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # Every count belongs to one side: a pickup against a last "and", moves that go on past the line into counts the
      # entry uses, and a section that is said to be longer or shorter than it is written.
      class Counts < Rule
        # Counts that reach over the end of the leaving eight, or before the entering one.
        def finding
          over = leaving.spill
          early = entering.spill
          reason = both(over, early) || unowned
          found(:counts, verdict(reason), known(over), known(-early), reason:, facts: facts(reason, over, early))
        end

        # A last "and" or a pickup left out, more counts for what runs over: [[Mend, Seam as it would be], …].
        def mends(finding)
          case finding.reason
          when :both_and then [drop_and, drop_pickup].compact
          when :runs_over then [own_counts, more_counts((leaving.spill/12r).ceil)].compact
          else []
          end
        end

        private

        def known(twelfths) = Movement::Known.derived((twelfths/12r).to_f)

        def verdict(reason)
          return :question if reason == :not_as_said

          reason ? :clash : :fits
        end

        def both(over, early)
          return :both_and if early.positive? && leaving.line && last && last.at >= leaving.line.length - early
          return :runs_over if over.positive? && (entering.free_counts * 12) - early < over && entering.placed.any?

          nil
        end

        def unowned
          return unless leaving.section.expected_counts && leaving.section.expected_counts != leaving.section.counts

          :not_as_said
        end

        def facts(reason, over, early)
          case reason
          when :both_and then { early: (early/12r).to_f }
          when :runs_over then { over: (over/12r).to_f }
          when :not_as_said then { said: leaving.section.expected_counts, counts: leaving.section.counts }
          else {}
          end
        end

        def last = @last ||= leaving.placed.max_by(&:at)
        def pickup = entering.placed.find { |move| move.at.negative? }

        def drop_and = typed(:drop_and, leaving, amend(leaving).remove(last), at: last.at)
        def drop_pickup = typed(:drop_pickup, entering, amend(entering).remove(pickup), at: 0)

        # The leaving eight is as long as what is danced in it.
        def own_counts
          counts = leaving.line.counts + (leaving.spill/12r).ceil
          return if counts > Piece::Row::MAX

          mend =
            Mend.new(
              change: :own_counts,
              link: leaving.place.index,
              row: leaving.row,
              edit: Edit::Row.new(row: leaving.row, text: leaving.typed_row.text, counts:),
              facts: { counts: }
            )
          [mend, seam.trying(leaving: leaving.trying(line: leaving.line.with(counts:)))]
        end
      end
    end
  end
end
