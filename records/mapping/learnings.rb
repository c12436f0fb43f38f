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

      # The same with the cells read anew of which the log has entries newer than a number.
      def progress_since(piece, progress, seq)
        keys = since(piece, seq)
        rows = within(piece.learning_states, keys).pluck(*FIELDS)
        newer = Hash.new { |items, key| items[key] = {} }
        rows.each { |person, key, *fields| newer[key][person] = cell(fields) }
        progress.with(newer.to_h)
      end

      def cell((rung, days, last, signed, changed))
        Learn::Cell.new(rung:, days:, last_danced_on: last, signed_off: signed, changed:)
      end

      def entry(row) = Learn::Entry.new(id: row.id, kind: row.kind, day: row.day, rung: row.rung, undoes: row.undoes_id)

      # Adds entries (rows of the log, without their seq) and folds their cells anew; answers the new states. What was
      # sent before (the same client_id) is not added again. Rows are locked in the order everybody keeps: cells by key,
      # then the piece, whose number is held until the commit, so that no lower one becomes visible later.
      def append(piece, entries)
        keys = entries.map { |entry| [entry[:person_id], entry[:item_key]] }.uniq.sort
        LedgerEntry.transaction do
          lock(piece, keys)
          insert(piece, entries)
          fold(piece, keys)
        end
      end

      # Folds the log of these cells again and writes their state.
      def refold(piece, keys)
        keys = keys.uniq.sort
        LedgerEntry.transaction do
          lock(piece, keys)
          read_anew(piece)
          fold(piece, keys)
        end
      end

      # Whoever has read the piece reads all of it again: states were folded without a new entry.
      def read_anew(piece)
        LedgerEntry.connection.execute("UPDATE pieces SET work_version = work_version + 1 WHERE id = #{piece.id.to_i}")
      end

      # Locks all cells of some items before a change of the piece that may mark them.
      def hold(piece, item_keys)
        piece.learning_states.where(item_key: item_keys).order(:person_id, :item_key).lock.pluck(:id)
      end

      # Cells whose entries are newer than a number: [[person, item key], …].
      def since(piece, seq) = piece.ledger_entries.where("seq > ?", seq).distinct.pluck(:person_id, :item_key)

      def insert(piece, entries)
        last = take_numbers(piece, entries.size)
        rows = entries.each_with_index.map { |entry, i| { **entry, seq: last - entries.size + i + 1 } }
        LedgerEntry.insert_all(rows, unique_by: %i[studio_id client_id], record_timestamps: false) if rows.any?
      end

      # The last of so many fresh numbers of the piece's log.
      def take_numbers(piece, count)
        taken = "UPDATE pieces SET learning_seq = learning_seq + $1 WHERE id = $2 RETURNING learning_seq"
        LedgerEntry.connection.exec_query(taken, "learning seq", [count, piece.id]).rows.first.first
      end

      def fold(piece, keys)
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
