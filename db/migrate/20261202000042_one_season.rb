# frozen_string_literal: true

# Drafts of several pieces that were made as one season; evenings of their kind, or left empty on purpose; days on which
# the studio is closed, there is no school, or exams are written.
class OneSeason < ActiveRecord::Migration[7.2]
  def up
    add_column :plans, :together, :bigint
    change_table :rehearsals, bulk: true do |t|
      t.string :kind, null: false, default: "rehearsal", limit: 20
      t.boolean :left_empty, null: false, default: false
    end
    create_table :season_days do |t|
      t.bigint :studio_id, null: false
      t.string :kind, null: false, limit: 20
      t.date :from_date, null: false
      t.date :to_date, null: false
      t.bigint :group_id
      t.timestamps
    end
    add_index :season_days, %i[studio_id from_date]
    add_index :season_days, %i[studio_id id], unique: true
    add_foreign_key :season_days, :studios, on_delete: :cascade
    execute <<~SQL
      ALTER TABLE season_days ADD FOREIGN KEY (studio_id, group_id) REFERENCES groups (studio_id, id) ON DELETE CASCADE
    SQL
    execute <<~SQL
      CREATE CONSTRAINT TRIGGER season_is_raised AFTER INSERT OR UPDATE OR DELETE ON season_days
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION note_season()
    SQL
  end

  def down
    drop_table :season_days
    remove_columns :rehearsals, :kind, :left_empty
    remove_column :plans, :together
  end
end
