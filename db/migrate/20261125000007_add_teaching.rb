# frozen_string_literal: true

# Sections that are still being made, in which order layers are taught, and how far each has been taught: a log.
class AddTeaching < ActiveRecord::Migration[7.2]
  def change
    change_table :sections do |t|
      t.boolean :being_made, null: false, default: false
      t.string :layer_school, null: false, default: "together"
    end
    create_table :teachings do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :section_id, null: false
      t.integer :eights, null: false
      t.date :day, null: false
      t.string :by_name, null: false
      t.datetime :created_at, null: false
    end
    add_index :teachings, %i[studio_id section_id id]
    add_foreign_key :teachings, :sections,
                    column: %i[studio_id section_id], primary_key: %i[studio_id id], on_delete: :cascade
  end
end
