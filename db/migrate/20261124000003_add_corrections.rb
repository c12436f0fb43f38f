# frozen_string_literal: true

# Known mistakes and the qualities asked for, of a whole section or at a count of one of its eights.
class AddCorrections < ActiveRecord::Migration[7.2]
  def change
    create_table :corrections do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :section_id, null: false
      t.integer :eight
      t.integer :count
      t.string :text, null: false
      t.string :by_name, null: false
      t.datetime :settled_at
      t.timestamps
    end
    add_index :corrections, %i[studio_id id], unique: true
    add_index :corrections, %i[studio_id section_id]
    add_foreign_key :corrections, :sections,
                    column: %i[studio_id section_id], primary_key: %i[studio_id id], on_delete: :cascade
  end
end
