# frozen_string_literal: true

# A dancer's own page at home: guardians have a link of their own, a dancer asks and is answered, and what is remembered
# of the chain is counted by join, without saying whose answer it was.
class DanceAtHome < ActiveRecord::Migration[7.2]
  def up
    add_column :person_links, :kind, :string, null: false, default: "dancer"
    add_column :people, :erased_at, :datetime
    add_column :notes, :asker_id, :bigint
    add_column :notes, :answer, :string
    add_foreign_key :notes, :people, column: %i[studio_id asker_id], primary_key: %i[studio_id id], on_delete: :cascade
    add_index :notes, %i[studio_id asker_id]
    create_table :memory_answers do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.bigint :link_id, null: false
      t.string :kind, null: false
      t.boolean :sure, null: false
      t.date :day, null: false
    end
    add_index :memory_answers, %i[studio_id id], unique: true
    add_index :memory_answers, %i[studio_id piece_id]
    add_foreign_key :memory_answers, :pieces, column: %i[studio_id piece_id], primary_key: %i[studio_id id],
                                              on_delete: :cascade
    let_names_go
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # Logs are only added to. When a person is erased, and only then, words in them may change.
  def let_names_go
    execute <<~SQL
      CREATE OR REPLACE FUNCTION keep_what_was_written() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF TG_OP = 'DELETE' AND current_setting('joinchain.clearing', true) = 'on' THEN RETURN OLD; END IF;
        IF TG_OP = 'UPDATE' AND current_setting('joinchain.erasing', true) = 'on' THEN RETURN NEW; END IF;
        RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
      END $$;
    SQL
  end
end
