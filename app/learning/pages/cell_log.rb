# frozen_string_literal: true

module App
  module Learning
    module Pages
      # The log behind one cell, newest first, and what it adds up to.
      class CellLog
        Line = Struct.new(:id, :what, :who, :on, :undone, :may_undo, keyword_init: true)
        attr_reader :piece, :person, :item

        def initialize(piece, person_id, key, today:)
          @piece = piece
          @person = piece.people.find_by(id: person_id)
          @today = today
          @items = Reading::LearningItems.of(piece)
          @item = @items.all.find { |each| each.key == key }
        end

        def found? = !person.nil? && !item.nil? && @items.dancers(item).include?(person.id)

        def name
          if item.kind == :difference
            I18n.t("tasks.difference", name: item.name)
          else
            I18n.t("learning.#{item.kind}", default: item.name)
          end
        end

        def entries = @entries ||= piece.ledger_entries.for_cell(person.id, item.key).to_a
        def cell = @cell ||= Core::Learning::Cell.fold(entries.map { |row| Records::Mapping::Learnings.entry(row) })
        def ring = Shared::Ring.classes(cell, Records::Mapping::Learnings.ladder(piece), @today)
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

        def undone = @undone ||= entries.filter_map(&:undoes_id).to_set

        def line(row)
          what =
            if row.kind == "undone"
              I18n.t("learning.kinds.undone")
            else
              "#{I18n.t("learning.kinds.#{row.kind}")}: #{Shared::Ring.word(row.rung)}"
            end
          Line.new(
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
