# A studio keeps at least one director, whatever is done at once: the last line behind the application's own checks.
# Looked at at the end of the transaction, holding the studio's row, so that of two who give up the role the second is
# refused.
class KeepADirector < ActiveRecord::Migration[7.2]
  def up
    execute <<~SQL
      CREATE FUNCTION keep_a_director() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM 1 FROM studios WHERE id = OLD.studio_id FOR UPDATE;
        IF FOUND AND NOT EXISTS (SELECT 1 FROM memberships WHERE studio_id = OLD.studio_id AND role = 'director') THEN
          RAISE EXCEPTION 'studio % would have no director', OLD.studio_id USING ERRCODE = 'check_violation';
        END IF;
        RETURN NULL;
      END $$;

      CREATE CONSTRAINT TRIGGER keeps_a_director AFTER UPDATE OF role OR DELETE ON memberships
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN (OLD.role = 'director') EXECUTE FUNCTION keep_a_director();
    SQL
  end

  def down
    execute "DROP TRIGGER keeps_a_director ON memberships"
    execute "DROP FUNCTION keep_a_director()"
  end
end
