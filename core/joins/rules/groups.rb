# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # Groups must be done on one count where unison follows, or hold until then. Both numbers are told: the count on
      # which the last group is done and the counts by which each other is early.
      class Groups < Rule
        # Counts by which groups of the leaving link end before or after the others.
        def finding
          open = [leaving, entering].find { |side| side.section.asked.any? }
          return asked(open) if open
          return late(later_by_text) if later_by_text.any?

          together unless leaving.section.parts.empty? || seam.shared.empty?
        end

        # Holding until all meet, or catching up: [[Mend, Seam as it would be], …].
        def mends(finding)
          return catch_up(finding) if finding.facts[:early].nil? && finding.facts[:later]

          holds = finding.facts[:early] or return []
          mend =
            Mend.new(change: :extend_hold, link: leaving.place.index, edit: Edit::Holds.new(holds:), facts: { holds: })
          [[mend, seam.trying(leaving: leaving.trying(place: held(holds)))]]
        end

        private

        # Whether all who dance on are done on one count.
        def together
          gaps = seam.early.select { |_, counts| counts.positive? }
          clash = gaps.any? && seam.unison?
          found(
            :groups,
            clash ? :clash : :fits,
            count(leaving.place.counts),
            count(leaving.place.counts - (gaps.values.max || 0)),
            facts: {
              early: gaps,
              ends: leaving.place.counts
            }
          )
        end

        def count(number) = Movement::Known.derived(number)

        # Nobody can say when groups are done before it is said who they are, or when they begin.
        def asked(side)
          open = side.section.asked.first
          nothing = Finding::NOTHING
          found(
            :groups, :question, nothing, nothing,
            facts: { asked: open.kind, said: open.said, row: open.row,
                     side: side.equal?(leaving) ? :leaving : :entering }
          )
        end

        # Groups that the text says begin later ("Nurses 4 later"), and have no part that says so: {name => counts}.
        def later_by_text = leaving.section.parts.empty? ? leaving.later : {}

        def late(later)
          ends = leaving.place.counts
          worst = later.values.max
          found(
            :groups,
            seam.entering.free_counts >= worst ? :fits : :clash,
            count(ends + worst),
            count(ends + 1),
            facts: {
              later:,
              ends: ends + worst,
              meet: ends + 1
            }
          )
        end

        # Counts of nothing before the entry, until the last group has caught up.
        def catch_up(finding) = [more_counts(finding.facts[:later].values.max)]

        def held(holds)
          section = leaving.section
          parts =
            section.parts.map do |part|
              holds.key?(part.group) ? part.with(hold_after: part.hold_after + holds[part.group]) : part
            end
          leaving.place.with(link: leaving.place.link.with(section: section.with(parts:)))
        end
      end
    end
  end
end
