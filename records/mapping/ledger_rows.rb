# frozen_string_literal: true

module Records
  module Mapping
    # The log's rows and their states in single statements: a tick is written many times a second, so it goes to the
    # database as one list and not row by row. Lists travel as JSON.
    module LedgerRows
      KEY = { person_id: "bigint", item_key: "text", track: "text", layer: "text", covers_person_id: "bigint" }.freeze
      ENTRY = {
        studio_id: "bigint", piece_id: "bigint", **KEY, kind: "text", rung: "int", undoes_id: "bigint",
        account_id: "bigint", by_name: "text", client_id: "text", note: "text", day: "date", created_at: "timestamp",
        seq: "bigint"
      }.freeze
      STATE = {
        studio_id: "bigint", piece_id: "bigint", **KEY, rung: "int", days: "int", last_danced_on: "date",
        signed_off: "boolean", changed_since: "boolean", clean: "int", reviewed: "boolean", reported: "int"
      }.freeze
      DEFAULTS = { note: "", rung: 0 }.freeze
      private_constant :ENTRY, :STATE, :DEFAULTS

      # Rows that are equal on a key, nothing being equal to nothing.
      NOTHING = %i[layer covers_person_id].freeze
      SAME = KEY.keys.map do |column|
        "t.#{column} #{NOTHING.include?(column) ? 'IS NOT DISTINCT FROM' : '='} k.#{column}"
      end.join(" AND ").freeze
      private_constant :NOTHING, :SAME

      module_function

      # Makes the cells where there are none, and locks them in the order of their keys.
      def lock(piece, keys)
        given = list(keys)
        run(<<~SQL, "cells", given, piece.studio_id, piece.id)
          INSERT INTO learning_states (studio_id, piece_id, #{KEY.keys.join(', ')})
          SELECT $2, $3, k.* FROM #{table(KEY)} ORDER BY #{(1..KEY.size).map { |i| i + 2 }.join(', ')}
          ON CONFLICT DO NOTHING
        SQL
        run(<<~SQL, "locked cells", given, piece.id)
          SELECT t.id FROM learning_states t JOIN #{table(KEY)} ON #{SAME} WHERE t.piece_id = $2
          ORDER BY #{KEY.keys.map { |column| "t.#{column}" }.join(', ')} FOR UPDATE OF t
        SQL
      end

      # Entries that are new by their client_id; theirs seq is given.
      def insert(rows)
        columns = ENTRY.keys.join(", ")
        given = rows.map { |row| ENTRY.keys.to_h { |column| [column, row.fetch(column, DEFAULTS[column])] } }
        run(<<~SQL, "log", given.to_json)
          INSERT INTO ledger_entries (#{columns}) SELECT #{columns} FROM #{table(ENTRY)} ORDER BY seq
          ON CONFLICT (studio_id, client_id) DO NOTHING
        SQL
      end

      # {key => [[id, kind, day, rung, undoes], …]} of some cells, in the order they were written.
      def of(piece, keys)
        found = run(<<~SQL, "log of cells", list(keys), piece.id)
          SELECT #{KEY.keys.map { |column| "t.#{column}" }.join(', ')}, t.id, t.kind, t.day, t.rung, t.undoes_id
          FROM ledger_entries t JOIN #{table(KEY)} ON #{SAME} WHERE t.piece_id = $2 ORDER BY t.id
        SQL
        found.group_by { |row| row.first(KEY.size) }.transform_values { |rows| rows.map { |row| row.drop(KEY.size) } }
      end

      def save(states)
        columns = STATE.keys.join(", ")
        newer = (STATE.keys - %i[studio_id piece_id] - KEY.keys).map { |column| "#{column} = excluded.#{column}" }
        run(<<~SQL, "states", states.to_json)
          INSERT INTO learning_states (#{columns}) SELECT #{columns} FROM #{table(STATE)}
          ON CONFLICT (piece_id, #{KEY.keys.join(', ')}) DO UPDATE SET #{newer.join(', ')}
        SQL
      end

      def list(keys) = keys.map { |key| KEY.keys.zip(key).to_h }.to_json

      # What the first parameter holds, as a table k.
      def table(columns)
        "json_to_recordset($1::json) AS k(#{columns.map { |name, type| "#{name} #{type}" }.join(', ')})"
      end

      # Rows, as Ruby values.
      def run(sql, name, *given) = LedgerEntry.connection.select_all(sql, name, given).cast_values
    end
  end
end
