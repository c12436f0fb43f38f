# frozen_string_literal: true

# Several teachers of one section: all of them are called to it, or one of them is enough.
class AddCoTeachers < ActiveRecord::Migration[7.2]
  def up
    add_column :sections, :teachers_needed, :string, null: false, default: "all"
    create_table :section_teachers do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :section_id, null: false
      t.bigint :person_id, null: false
      t.datetime :created_at, null: false
    end
    add_index :section_teachers, %i[studio_id id], unique: true
    add_index :section_teachers, %i[section_id person_id], unique: true
    { section_id: :sections, person_id: :people }.each do |column, target|
      add_foreign_key :section_teachers, target,
                      column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
    end
    triggers
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def triggers
    execute <<~SQL
      CREATE FUNCTION raise_work_by_section_teachers() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        section bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.section_id ELSE NEW.section_id END;
        piece bigint := (SELECT piece_id FROM sections WHERE id = section);
      BEGIN
        IF piece IS NULL OR raised_already('piece-' || piece) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
        RETURN NULL;
      END $$;

      CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR UPDATE OR DELETE ON section_teachers
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_work_by_section_teachers();

      CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR UPDATE OR DELETE ON section_teachers
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION note_season();
    SQL
  end
end
