# frozen_string_literal: true

module Records
  module Mapping
    # The log's rows and their states in single statements: a tick is written many times a second, so it goes to the
    # database as one list and not row by row. Lists travel as JSON.
    module LedgerRows
      KEY = { person_id: "bigint", item_key: "text", track: "text", layer: "text", covers_person_id: "bigint" }.freeze
      ENTRY = {
        studio_id: "bigint", piece_id: "bigint", **KEY, kind: "text", rung: "int", undoes_id: "bigint",
        account_id: "bigint", by_name: "text", client_id: "text", note: "text", day: "date", created_at: "timestamp"
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
        run(<<~SQL, "locked cells", list(keys), piece.studio_id, piece.id)
          INSERT INTO learning_states AS t (studio_id, piece_id, #{KEY.keys.join(', ')})
          SELECT $2, $3, k.* FROM #{table(KEY)} ORDER BY #{KEY.keys.map { |column| "k.#{column}" }.join(', ')}
          ON CONFLICT (piece_id, #{KEY.keys.join(', ')}) DO UPDATE SET rung = t.rung
        SQL
      end

      # {key => [[id, kind, day, rung, undoes, client_id], …]} of some cells, in the order they were written.
      def of(piece, keys)
        found = run(<<~SQL, "log of cells", list(keys), piece.id)
          SELECT #{KEY.keys.map { |column| "t.#{column}" }.join(', ')},
                 t.id, t.kind, t.day, t.rung, t.undoes_id, t.client_id
          FROM ledger_entries t JOIN #{table(KEY)} ON #{SAME} WHERE t.piece_id = $2 ORDER BY t.id
        SQL
        found.group_by { |row| row.first(KEY.size) }.transform_values { |rows| rows.map { |row| row.drop(KEY.size) } }
      end

      # Writes entries, under numbers that only now are taken from the piece, and the states they make, in one
      # statement: whoever ticks the same piece waits no longer than that.
      def write(piece, entries, states)
        logged = ENTRY.keys.join(", ")
        given = entries.map { |row| ENTRY.keys.to_h { |column| [column, row.fetch(column, DEFAULTS[column])] } }
        run(<<~SQL, "log", given.to_json, states.to_json, given.size, piece.id)
          WITH taken AS (
            UPDATE pieces SET learning_seq = learning_seq + $3 WHERE id = $4 RETURNING learning_seq - $3 AS before
          ), logged AS (
            INSERT INTO ledger_entries (#{logged}, seq)
            SELECT #{ENTRY.keys.map { |column| "k.#{column}" }.join(', ')}, taken.before + row_number() OVER ()
            FROM taken, #{table(ENTRY)} ON CONFLICT (studio_id, client_id) DO NOTHING
          )
          #{saving('$2')}
        SQL
      end

      def save(states) = run(saving("$1"), "states", states.to_json)

      def saving(given)
        columns = STATE.keys.join(", ")
        newer = (STATE.keys - %i[studio_id piece_id] - KEY.keys).map { |column| "#{column} = excluded.#{column}" }
        <<~SQL
          INSERT INTO learning_states (#{columns}) SELECT #{columns} FROM #{table(STATE, given)}
          ON CONFLICT (piece_id, #{KEY.keys.join(', ')}) DO UPDATE SET #{newer.join(', ')}
        SQL
      end

      def list(keys) = keys.map { |key| KEY.keys.zip(key).to_h }.to_json

      # What a parameter holds, as a table k.
      def table(columns, given = "$1")
        "json_to_recordset(#{given}::json) AS k(#{columns.map { |name, type| "#{name} #{type}" }.join(', ')})"
      end

      # Rows, as Ruby values.
      def run(sql, name, *given) = LedgerEntry.connection.select_all(sql, name, given).cast_values
    end
  end
end
