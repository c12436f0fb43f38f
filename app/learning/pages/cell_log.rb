# frozen_string_literal: true

module App
  module Learning
    module Pages
      # The log behind one cell, newest first, and what it adds up to.
      class CellLog
        Entry = Struct.new(:id, :what, :who, :on, :undone, :may_undo, keyword_init: true)
        attr_reader :piece, :person, :item, :strand

        def initialize(piece, person_id, key, today:, strand: Core::Learning::Strand::OWN)
          @strand = strand
          @piece = piece
          @person = piece.people.find_by(id: person_id)
          @today = today
          @items = Reading::LearningItems.of(piece)
          @item = @items.all.find { |each| each.key == key }
        end

        def found?
          return false if person.nil? || item.nil?

          @items.dancers(item).include?(strand.covers || person.id)
        end

        def strand_word = StrandForm.write(strand)

        # "on the spots, with the groups"; nil for the own part.
        def along
          return if strand.own?
          return I18n.t("strands.#{strand_word}") unless strand.covers

          I18n.t("strands.cover", name: piece.studio.people.find(strand.covers).name)
        end

        def name = Shared::ItemName.of(item)

        def entries = @entries ||= piece.ledger_entries.for_cell(person.id, item.key, strand).to_a
        def cell = @cell ||= Records::Mapping::Learnings.folded(piece, entries)
        def ring = Shared::Ring.classes(cell, ladder, @today, way)

        # What is still to come until it counts, where the rung is there already.
        def missing
          kind, count = way.missing(cell, ladder)
          kind && I18n.t("ways_of_counting.missing.#{kind}", count:)
        end

        # "danced on 3 Nov, 7 Nov and 12 Nov": why it is as fresh as it is.
        def days
          danced = entries.reject { |row| undone.include?(row.id) || row.kind == "undone" }
            .select { |row| Core::Learning::Entry::LIFTING.include?(row.kind) }.map(&:day).uniq
          return if danced.empty?

          short = danced.last(6).map { |day| Shared::Dates.short(day) }
          I18n.t("learning.days", days: Shared::Lists.all(short))
        end

        def word = Shared::Ring.word(cell.rung)
        def rungs = I18n.t("rungs").each_with_index.drop(1)

        def fresh
          return I18n.t("learning.never") unless cell.last_danced_on

          state = cell.freshness(@today)
          [
            I18n.t("learning.last_danced", ago: Shared::Dates.ago(cell.last_danced_on, @today)),
            (I18n.t("learning.#{state}") unless state == :fresh)
          ].compact.join(", ")
        end

        def lines = entries.reverse.map { |row| line(row) }

        private

        def ladder = Records::Mapping::Learnings.ladder(piece)

        # What makes it count as learned.
        def way = Reading::PieceSnapshots.of(piece).progress.way(item.key)
        def undone = @undone ||= entries.filter_map(&:undoes_id).to_set

        def line(row)
          what =
            if row.kind == "undone"
              I18n.t("learning.kinds.undone")
            else
              "#{I18n.t("learning.kinds.#{row.kind}")}: #{Shared::Ring.word(row.rung)}"
            end
          Entry.new(
            id: row.id,
            what:,
            who: row.by_name,
            on: Shared::Dates.day(row.day),
            undone: undone.include?(row.id),
            may_undo: row.kind != "undone" && !undone.include?(row.id)
          )
        end
      end
    end
  end
end
