# What was read of a piece or a season is kept under a counter, raised at the end of every transaction that changes it:
# the counter's row is held until the commit, so a lower number never becomes visible after a higher one.
#
# Deferred triggers raise them, so that no table can be forgotten by the program: pieces first; a studio's season is
# only noted then and raised in a second round, after all pieces (rows are locked in one order everywhere: cells by key,
# then pieces, then studios). A counter is raised once for all rows that one commit (or one statement) changed.
class AddVersionsOfWhatWasRead < ActiveRecord::Migration[7.2]
  # Whose change changes a piece, and how the piece is found from the row.
  OF_PIECE = {
    "tracks" => "row_.piece_id", "castings" => "row_.piece_id", "groups" => "row_.piece_id",
    "sections" => "row_.piece_id", "links" => "row_.piece_id", "revisions" => "row_.piece_id",
    "agreements" => "row_.piece_id", "join_facts" => "row_.piece_id", "formations" => "row_.piece_id",
    "version_people" => "row_.piece_id",
    "group_members" => "(SELECT piece_id FROM groups WHERE id = row_.group_id)",
    "eights" => "(SELECT piece_id FROM sections WHERE id = row_.section_id)",
    "parts" => "(SELECT piece_id FROM sections WHERE id = row_.section_id)",
    "versions" => "(SELECT piece_id FROM sections WHERE id = row_.section_id)",
    "spots" => "(SELECT piece_id FROM formations WHERE id = row_.formation_id)"
  }.freeze
  # Whose change changes all pieces of the studio.
  OF_ALL_PIECES = %w[people own_steps].freeze
  OF_SEASON = %w[rehearsals rehearsal_rooms rooms absences visits attendances slots slot_people teachings people
                 sections].freeze

  def up
    add_column :pieces, :work_version, :bigint, null: false, default: 0
    add_column :pieces, :learning_seq, :bigint, null: false, default: 0
    add_column :studios, :season_version, :bigint, null: false, default: 0
    create_table(:raised_seasons) { |t| t.bigint :studio_id, null: false }
    number_the_log
    functions
    triggers
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # Entries of the learning log carry the number under which they became visible.
  def number_the_log
    add_column :ledger_entries, :seq, :bigint
    execute "ALTER TABLE ledger_entries DISABLE TRIGGER append_only"
    execute <<~SQL
      UPDATE ledger_entries SET seq = numbered.place
      FROM (SELECT id, row_number() OVER (PARTITION BY piece_id ORDER BY id) AS place FROM ledger_entries) numbered
      WHERE numbered.id = ledger_entries.id
    SQL
    execute "ALTER TABLE ledger_entries ENABLE TRIGGER append_only"
    execute <<~SQL
      UPDATE pieces SET learning_seq = coalesce((SELECT max(seq) FROM ledger_entries WHERE piece_id = pieces.id), 0)
    SQL
    change_column_null :ledger_entries, :seq, false
    add_index :ledger_entries, %i[piece_id seq]
  end

  def functions
    execute <<~SQL
      CREATE FUNCTION raised_already(mark text) RETURNS boolean LANGUAGE plpgsql AS $$
      DECLARE
        known text := coalesce(current_setting('joinchain.raised', true), '');
        this text := format(' %s@%s ', mark, statement_timestamp());
      BEGIN
        IF position(this IN known) > 0 THEN RETURN true; END IF;
        PERFORM set_config('joinchain.raised', known || this, true);
        RETURN false;
      END $$;

      CREATE FUNCTION raise_work_of_studio() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        studio bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.studio_id ELSE NEW.studio_id END;
      BEGIN
        IF raised_already('pieces-of-' || studio) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1
        WHERE id IN (SELECT id FROM pieces WHERE studio_id = studio ORDER BY id FOR UPDATE);
        RETURN NULL;
      END $$;

      CREATE FUNCTION note_season() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        studio bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.studio_id ELSE NEW.studio_id END;
      BEGIN
        IF NOT raised_already('note-' || studio) THEN
          INSERT INTO raised_seasons (studio_id) VALUES (studio);
        END IF;
        RETURN NULL;
      END $$;

      CREATE FUNCTION raise_season() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        UPDATE studios SET season_version = season_version + 1 WHERE id = NEW.studio_id;
        DELETE FROM raised_seasons WHERE id = NEW.id;
        RETURN NULL;
      END $$;

      CREATE FUNCTION raise_own_work() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF raised_already('piece-' || NEW.id) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1 WHERE id = NEW.id;
        RETURN NULL;
      END $$;

      CREATE FUNCTION raise_own_season() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF NOT raised_already('note-' || NEW.id) THEN
          INSERT INTO raised_seasons (studio_id) VALUES (NEW.id);
        END IF;
        RETURN NULL;
      END $$;
    SQL
    OF_PIECE.each { |table, piece| raise_work_by(table, piece) }
  end

  def raise_work_by(table, piece)
    execute <<~SQL
      CREATE FUNCTION raise_work_by_#{table}() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        row_ #{table}%ROWTYPE;
        piece bigint;
      BEGIN
        IF TG_OP = 'DELETE' THEN row_ := OLD; ELSE row_ := NEW; END IF;
        piece := #{piece};
        IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
        RETURN NULL;
      END $$;
    SQL
  end

  def triggers
    OF_PIECE.each_key { |table| deferred(table, "work", "raise_work_by_#{table}") }
    OF_ALL_PIECES.each { |table| deferred(table, "work", "raise_work_of_studio") }
    OF_SEASON.each { |table| deferred(table, "season", "note_season") }
    deferred "pieces", "work", "raise_own_work", on: "INSERT OR UPDATE OF title, show_date, settings, archived_at"
    deferred "pieces", "season", "note_season", on: "INSERT OR UPDATE OF show_date, settings, archived_at OR DELETE"
    deferred "plans", "season", "note_season",
             on: "INSERT OR UPDATE OF published_at, replaced_at, result, school, lock_version OR DELETE"
    deferred "studios", "season", "raise_own_season", on: "INSERT OR UPDATE OF settings, time_zone"
    deferred "raised_seasons", "raise", "raise_season", on: "INSERT"
  end

  def deferred(table, name, function, on: "INSERT OR UPDATE OR DELETE")
    execute <<~SQL
      CREATE CONSTRAINT TRIGGER #{name}_is_raised AFTER #{on} ON #{table}
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION #{function}()
    SQL
  end
end
