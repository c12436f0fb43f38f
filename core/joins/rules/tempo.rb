# frozen_string_literal: true

module Core
  module Joins
    module Rules
      # What a count is, against the music: half time into double time must be named where it changes.
      class Tempo < Rule
        # What a count is on either side, where it is not the same; nil where it is.
        def finding
          left, right = [leaving, entering].map { |side| side.section.beats_per_count }
          return if left == right

          named = entering.typed_row.then { |row| row && (row.name != "" || row.cue != "") }
          ratio = [left, right].max / [left, right].min
          found(
            :tempo,
            named || ratio < 4 ? :fits : :clash,
            feel(leaving),
            feel(entering),
            facts: { ratio: ratio.to_f }
          )
        end

        # The change named where it happens: [[Mend, Seam as it would be], …].
        def mends(_finding)
          row = entering.typed_row or return []
          name = { "half" => "half time from here", "double" => "double time from here" }.fetch(
            entering.section.time,
            "new count from here"
          )
          mend =
            Mend.new(
              change: :name_tempo,
              link: entering.place.index,
              row: 1,
              count: 1,
              edit: Edit::Row.new(row: 1, text: row.text, name:),
              facts: { tempo: name }
            )
          [[mend, seam.trying(entering: entering.trying(place: named(name)))]]
        end

        private

        def feel(side) = Movement::Known.stated(side.section.time)

        def named(name)
          link = entering.place.link
          entering.place.with(
            link:
              link.with(
                section:
                  link.section.with(
                    rows: link.section.rows.each_with_index.map { |row, i| i.zero? ? row.with(name:) : row }
                  ),
                changes: Piece::Changes::NONE
              )
          )
        end
      end
    end
  end
end
