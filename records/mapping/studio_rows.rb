# frozen_string_literal: true

module Records
  module Mapping
    # Every row of a studio, as JSON and back: what an archive holds. Numbers of rows are new where it comes in;
    # whatever names a row follows, in columns and within keys.
    module StudioRows
      # In this order each finds what it names: people, then pieces and all that is of them, then rehearsals and what
      # happened there.
      TABLES = %w[
        people rooms pieces tracks groups castings group_members sections section_teachers eights parts links
        formations spots versions version_people own_steps word_meanings asides understudies join_facts habits absences
        visits season_days rehearsals rehearsal_rooms plans slots slot_people teachings attendances attendance_entries
        passes runs run_steps troubles trouble_people ledger_entries learning_states overrulings drills drill_people
        evening_steps uploads clip_people consents notes givings memory_answers agreements
      ].freeze
      # What is not the studio's own to take along: ways in, letters, what is worked out anew, earlier versions.
      LEFT_OUT = %w[
        memberships invitations person_links calendar_links program_tokens hand_overs mails submissions revisions
        plan_offers asks raised_seasons
      ].freeze
      # Columns that name a row without a foreign key.
      NAMED = {
        "link_id" => "links", "from_link_id" => "links", "to_link_id" => "links", "slot_id" => "slots",
        "undoes_id" => "ledger_entries"
      }.freeze
      # What stays behind of rows that come: whose account it was, and what opens a page.
      EMPTIED = %w[account_id listed_by family_word sheet_token told_at_host].freeze
      BATCH = 1000

      module_function

      # JSON text of a table's rows, and how many.
      def of(studio, table)
        quoted = Base.connection.quote_table_name(table)
        rows = "coalesce(jsonb_agg(to_jsonb(t) - 'studio_id' ORDER BY id), '[]')::text"
        sql = "SELECT #{rows}, count(*) FROM #{quoted} t WHERE studio_id = $1"
        Base.rows_of(sql, "archive", [studio.id]).first
      end

      def columns(table) = Base.connection.columns(table).map(&:name) - %w[studio_id]

      # {column => table} of what a table's columns name.
      def references(table)
        named = Base.connection.foreign_keys(table).filter_map do |key|
          column = Array(key.column).reject { |each| each == "studio_id" }.last
          [column, key.to_table] if column && TABLES.include?(key.to_table)
        end
        { **NAMED.slice(*columns(table)), **named.to_h }
      end

      # Columns that may say nothing.
      def optional(table) = Base.connection.columns(table).select(&:null).map(&:name)

      # So many new numbers for rows of a table.
      def numbers(table, count)
        sql = "SELECT nextval(pg_get_serial_sequence($1, 'id')) FROM generate_series(1, $2)"
        Base.rows_of(sql, "numbers", [table, count]).map { |row| row.is_a?(Array) ? row.first : row }
      end

      # Adds rows as they are: {column => plain value}, each with an id and a studio_id.
      def add(table, rows)
        names = (columns(table) + ["studio_id"]).map { |name| Base.connection.quote_column_name(name) }.join(", ")
        quoted = Base.connection.quote_table_name(table)
        from = "jsonb_populate_recordset(NULL::#{quoted}, $1::jsonb)"
        insert = "INSERT INTO #{quoted} (#{names}) SELECT #{names} FROM #{from}"
        rows.each_slice(BATCH) { |some| Base.done_with(insert, "archive", [JSON.generate(some)]) }
      end
    end
  end
end
