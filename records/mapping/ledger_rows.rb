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

      # What a parameter holds, as a table k.
      LISTED = lambda do |columns, given|
        "json_to_recordset(#{given}::json) AS k(#{columns.map { |name, type| "#{name} #{type}" }.join(', ')})"
      end
      # The same with the place of each in the list, from 1.
      PLACED = lambda do |given|
        columns = KEY.map { |name, type| "#{name} #{type}" }.join(", ")
        "ROWS FROM (json_to_recordset(#{given}::json) AS (#{columns})) WITH ORDINALITY AS " \
          "k(#{KEY.keys.join(', ')}, place)"
      end
      # A column of table t, or of table k, for each.
      NAMED = ->(columns, table) { columns.keys.map { |column| "#{table}.#{column}" }.join(", ") }
      COLUMNS = KEY.keys.join(", ")

      LOCK = <<~SQL.freeze
        INSERT INTO learning_states AS t (studio_id, piece_id, #{COLUMNS})
        SELECT $2, $3, k.* FROM #{LISTED[KEY, '$1']} ORDER BY #{NAMED[KEY, 'k']}
        ON CONFLICT (piece_id, #{COLUMNS}) DO UPDATE SET rung = t.rung
      SQL
      # Cell by cell (OFFSET 0), through the index: read as a join, the whole log of the piece would be gone through.
      READ = <<~SQL.freeze
        SELECT k.place, entry.* FROM #{PLACED['$1']}, LATERAL (
          SELECT t.id, t.kind, t.day, t.rung, t.undoes_id, t.client_id
          FROM ledger_entries t WHERE #{SAME} AND t.piece_id = $2 OFFSET 0
        ) entry ORDER BY entry.id
      SQL
      CHANGING = STATE.keys - %i[studio_id piece_id] - KEY.keys
      NEWER = CHANGING.map { |column| "#{column} = excluded.#{column}" }.join(", ")
      SAVING = lambda do |given|
        "INSERT INTO learning_states (#{STATE.keys.join(', ')}) SELECT #{STATE.keys.join(', ')} " \
          "FROM #{LISTED[STATE, given]} ON CONFLICT (piece_id, #{COLUMNS}) DO UPDATE SET #{NEWER}"
      end
      SAVE = SAVING["$1"]
      WRITE = <<~SQL.freeze
        WITH taken AS (
          UPDATE pieces SET learning_seq = learning_seq + $3 WHERE id = $4 RETURNING learning_seq - $3 AS before
        ), logged AS (
          INSERT INTO ledger_entries (#{ENTRY.keys.join(', ')}, seq)
          SELECT #{NAMED[ENTRY, 'k']}, taken.before + row_number() OVER ()
          FROM taken, #{LISTED[ENTRY, '$1']} ON CONFLICT (studio_id, client_id) DO NOTHING
        )
        #{SAVING['$2']}
      SQL
      private_constant :NOTHING, :SAME, :LISTED, :PLACED, :NAMED, :COLUMNS, :LOCK, :READ, :CHANGING, :NEWER, :SAVING,
                       :SAVE, :WRITE

      module_function

      # Makes the cells where there are none, and locks them in the order of their keys.
      def lock(piece, keys) = run(LOCK, "locked cells", list(keys), piece.studio_id, piece.id)

      # {key => [[id, kind, day, rung, undoes, client_id], …]} of some cells, in the order they were written.
      def of(piece, keys)
        run(READ, "log of cells", list(keys), piece.id).each_with_object({}) do |(place, *row), found|
          (found[keys[place - 1]] ||= []) << row
        end
      end

      # Writes entries, under numbers that only now are taken from the piece, and the states they make, in one
      # statement: whoever ticks the same piece waits no longer than that.
      def write(piece, entries, states)
        given = entries.map { |row| ENTRY.keys.to_h { |column| [column, row.fetch(column, DEFAULTS[column])] } }
        run(WRITE, "log", given.to_json, states.to_json, given.size, piece.id)
      end

      # [[…], …] of the states of these cells: their keys and some of their columns.
      def states(piece, keys, columns)
        wanted = [*KEY.keys, *columns].map { |column| "t.#{column}" }.join(", ")
        sql = "SELECT #{wanted} FROM #{LISTED[KEY, '$1']} JOIN learning_states t ON #{SAME} WHERE t.piece_id = $2"
        LearningState.rows_of(sql, "states of cells", [list(keys), piece.id])
      end

      def save(states) = run(SAVE, "states", states.to_json)

      def list(keys) = keys.map { |key| KEY.keys.zip(key).to_h }.to_json

      # Rows, as Ruby values.
      def run(sql, name, *given) = LedgerEntry.done_with(sql, name, given)
    end
  end
end
