# frozen_string_literal: true

module Records
  module Mapping
    # The log and its derived state <-> Core::Learning.
    module Learnings
      Learn = Core::Learning
      FIELDS = %i[person_id item_key rung days last_danced_on signed_off changed_since].freeze
      private_constant :Learn, :FIELDS

      module_function

      def ladder(piece) = Learn::Ladder.new(learned_from: piece.setting("learned_from"))

      # Everybody's cells (or only some people's) as Core::Learning::Progress.
      def progress(piece, people: nil)
        rows = piece.learning_states
        rows = rows.where(person_id: people) if people
        known = Hash.new { |cells, fields| cells[fields] = cell(fields) }
        cells = Hash.new { |keys, key| keys[key] = {} }
        rows.pluck(*FIELDS).each { |person, key, *fields| cells[key][person] = known[fields] }
        Learn::Progress.new(cells.to_h, ladder: ladder(piece))
      end

      def cell((rung, days, last, signed, changed))
        Learn::Cell.new(rung:, days:, last_danced_on: last, signed_off: signed, changed:)
      end

      def entry(row) = Learn::Entry.new(id: row.id, kind: row.kind, day: row.day, rung: row.rung, undoes: row.undoes_id)

      # Folds the log of these cells again and writes their state. Rows are locked in key order first.
      def refold(piece, keys)
        keys = keys.uniq.sort
        lock(piece, keys)
        entries = entries_of(piece, keys)
        rows =
          keys.map { |person, key| state_row(piece, person, key, Learn::Cell.fold(entries.fetch([person, key], []))) }
        if rows.any?
          LearningState.upsert_all(rows, unique_by: %i[piece_id person_id item_key], record_timestamps: false)
        end
        rows
      end

      def lock(piece, keys)
        blank =
          keys.map do |person, key|
            { studio_id: piece.studio_id, piece_id: piece.id, person_id: person, item_key: key }
          end
        if blank.any?
          LearningState.insert_all(blank, unique_by: %i[piece_id person_id item_key], record_timestamps: false)
        end
        within(piece.learning_states, keys).order(:person_id, :item_key).lock.load
      end

      def entries_of(piece, keys)
        wanted = keys.to_set
        within(piece.ledger_entries, keys).order(:id)
          .select { |row| wanted.include?([row.person_id, row.item_key]) }
          .group_by { |row| [row.person_id, row.item_key] }
          .transform_values { |rows| rows.map { |row| entry(row) } }
      end

      def within(rows, keys) = rows.where(person_id: keys.map(&:first).uniq, item_key: keys.map(&:last).uniq)

      def state_row(piece, person, key, cell)
        {
          studio_id: piece.studio_id,
          piece_id: piece.id,
          person_id: person,
          item_key: key,
          rung: cell.rung,
          days: cell.days,
          last_danced_on: cell.last_danced_on,
          signed_off: cell.signed_off,
          changed_since: cell.changed
        }
      end
    end
  end
end
