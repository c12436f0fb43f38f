# frozen_string_literal: true

# Weekly habits of who can come when; the days they make are absences like others, and go with them.
class KeepHabits < ActiveRecord::Migration[7.2]
  def up
    create_table :habits do |t|
      t.bigint :studio_id, null: false
      t.bigint :person_id, null: false
      t.integer :weekday, null: false
      t.integer :from_minute
      t.integer :to_minute
      t.timestamps
    end
    add_index :habits, %i[studio_id id], unique: true
    add_index :habits, %i[studio_id person_id]
    add_foreign_key :habits, :studios, on_delete: :cascade
    add_column :absences, :habit_id, :bigint
    add_index :absences, %i[studio_id habit_id]
    execute <<~SQL
      ALTER TABLE habits ADD FOREIGN KEY (studio_id, person_id) REFERENCES people (studio_id, id) ON DELETE CASCADE;
      ALTER TABLE absences ADD FOREIGN KEY (studio_id, habit_id) REFERENCES habits (studio_id, id) ON DELETE CASCADE;
    SQL
  end

  def down
    remove_column :absences, :habit_id
    drop_table :habits
  end
end
