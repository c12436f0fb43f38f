# frozen_string_literal: true

# A studio's own steps and nicknames, each built from a known step.
class AddOwnSteps < ActiveRecord::Migration[7.2]
  def change
    create_table :own_steps do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.string :name, null: false
      t.string :like, null: false
      t.integer :counts
      t.timestamps
    end
    add_index :own_steps, %i[studio_id id], unique: true
    add_index :own_steps, "studio_id, lower(name)", unique: true, name: "own_steps_by_name"
  end
end
