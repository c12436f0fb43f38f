# frozen_string_literal: true

# What a word means to the one who teaches with it, asked once; and questions that were put off: to be seen in the room,
# or left open.
class RememberAnswers < ActiveRecord::Migration[7.2]
  def up
    word_meanings
    asides
    execute <<~SQL
      CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR UPDATE OR DELETE ON word_meanings
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_work_of_studio();

      CREATE FUNCTION raise_work_by_asides() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        piece bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.piece_id ELSE NEW.piece_id END;
      BEGIN
        IF raised_already('piece-' || piece) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
        RETURN NULL;
      END $$;

      CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR UPDATE OR DELETE ON asides
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_work_by_asides();
    SQL
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def word_meanings
    create_table :word_meanings do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :teacher_id
      t.string :word, null: false
      t.string :effect, null: false
      answered(t)
      t.datetime :undone_at
    end
    add_index :word_meanings, %i[studio_id id], unique: true
    add_index :word_meanings, "studio_id, coalesce(teacher_id, 0), word",
              unique: true, where: "undone_at IS NULL", name: "word_meanings_that_hold"
    add_foreign_key :word_meanings, :people,
                    column: %i[studio_id teacher_id], primary_key: %i[studio_id id], on_delete: :cascade
  end

  def asides
    create_table :asides do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.string :question, null: false
      t.string :way, null: false
      answered(t)
    end
    add_index :asides, %i[studio_id id], unique: true
    add_index :asides, %i[piece_id question], unique: true
    add_foreign_key :asides, :pieces,
                    column: %i[studio_id piece_id], primary_key: %i[studio_id id], on_delete: :cascade
  end

  # Who said it, and when.
  def answered(table)
    table.bigint :account_id
    table.string :by_name, null: false, default: ""
    table.datetime :created_at, null: false
    table.foreign_key :accounts, on_delete: :nullify
  end
end
