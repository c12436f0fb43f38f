# frozen_string_literal: true

# Slots that stay where they are, minutes they really took, the search that improves a plan, and who was there.
class AddPlanning < ActiveRecord::Migration[7.2]
  def change
    change_table :slots do |t|
      t.boolean :pinned, null: false, default: false
      t.integer :actual_minutes
    end
    change_table :plans do |t|
      t.jsonb :search, null: false, default: {}
    end
    create_table :attendances do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :rehearsal_id, null: false
      t.bigint :person_id, null: false
      t.boolean :present, null: false
      t.string :by_name, null: false
      t.timestamps
    end
    add_index :attendances, %i[studio_id id], unique: true
    add_index :attendances, %i[rehearsal_id person_id], unique: true
    add_foreign_key :attendances, :rehearsals,
                    column: %i[studio_id rehearsal_id], primary_key: %i[studio_id id], on_delete: :cascade
    add_foreign_key :attendances, :people,
                    column: %i[studio_id person_id], primary_key: %i[studio_id id], on_delete: :cascade
  end
end
