# frozen_string_literal: true

module Core
  module Joins
    # What a mend does to a piece: plain data, applied to a work (for good) or to a side of a seam (to try it).
    module Edit
      # Replaces a link of a work by its index.
      def self.link(work, index)
        work.with(links: work.links.each_with_index.map { |link, i| i + 1 == index ? yield(link) : link })
      end

      # Replaces a section of a work, in all its links.
      def self.section(work, id)
        sections = work.sections.map { |section| section.id == id ? yield(section) : section }
        by_id = sections.to_h { |section| [section.id, section] }
        work.with(sections:, links: work.links.map { |link| link.with(section: by_id.fetch(link.section.id)) })
      end

      # Another row in place of the one danced as number `row` of a link (from 1, as danced).
      class Row < Values::Value.of(:row, :text, counts: nil, name: nil)
        # Whether it can be made in this link alone, as a change, leaving the section as it is.
        def here_only? = true

        # The Piece::Work with it made in a link (by index from 1); here_only: as a change of that link.
        def apply(work, index, here_only: false)
          danced = work.links[index - 1].danced[row - 1]
          return Edit.link(work, index) { |link| change(link, danced) } if here_only || danced.changed

          Edit.section(work, work.links[index - 1].section.id) do |section|
            section.with(
              rows: section.rows.each_with_index.map { |own, i| i + 1 == danced.origin ? changed(own) : own }
            )
          end
        end

        def changed(row) = row.with(text:, counts: counts || row.counts, name: name || row.name)

        private

        def change(link, danced)
          changes = link.changes
          if danced.origin
            replace = { **changes.replace, danced.origin => changed(danced.row) }
            return link.with(changes: changes.with(replace:))
          end

          inserted =
            changes.insert_after.transform_values do |rows|
              rows.map { |own| own.equal?(danced.row) ? changed(own) : own }
            end
          link.with(changes: changes.with(insert_after: inserted))
        end
      end

      # Counts of silence before a link's first eight, at this link alone or before the section.
      class Before < Values::Value.of(:counts)
        # Whether it can be made in this link alone, as a change, leaving the section as it is.
        def here_only? = true

        # The Piece::Work with it made in a link (by index from 1); here_only: as a change of that link.
        def apply(work, index, here_only: false)
          link = work.links[index - 1]
          if here_only || link.altered?
            return Edit.link(work, index) do |own|
              own.with(
                changes:
                  own.changes.with(
                    insert_after: {
                      **own.changes.insert_after,
                      0 => [row, *own.changes.insert_after[0]]
                    }
                  )
              )
            end
          end

          Edit.section(work, link.section.id) { |section| section.with(rows: [row, *section.rows]) }
        end

        # The Piece::Row that is put in.
        def row = Piece::Row.new(counts:, text: counts == 1 ? "1 -" : "1-#{counts} -")
      end

      # The whole link on its other side.
      class OtherSide < Values::Value.of
        # It is of the link already.
        def here_only? = false

        # The Piece::Work with the link (by index from 1) on its other side.
        def apply(work, index, **) = Edit.link(work, index) { |link| link.with(mirrored: !link.mirrored) }
      end

      # What is stated of a section's edge: :entry or :exit; values in the section's own side.
      class Stated < Values::Value.of(:edge, :values)
        # It is stated of the section, wherever that is danced.
        def here_only? = false

        # The Piece::Work with it stated of the section of a link (by index from 1).
        def apply(work, index, **)
          Edit.section(work, work.links[index - 1].section.id) do |section|
            section.with(edge => section.public_send(edge).merge(values))
          end
        end
      end

      # Holds at the end of some groups' parts: {group => counts}.
      class Holds < Values::Value.of(:holds)
        # It is kept with the section's groups, wherever that is danced.
        def here_only? = false

        # The Piece::Work with it kept in the section of a link (by index from 1).
        def apply(work, index, **)
          Edit.section(work, work.links[index - 1].section.id) do |section|
            section.with(
              parts:
                section.parts.map do |part|
                  holds.key?(part.group) ? part.with(hold_after: part.hold_after + holds[part.group]) : part
                end
            )
          end
        end
      end
    end
  end
end
