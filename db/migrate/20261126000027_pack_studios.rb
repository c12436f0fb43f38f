# frozen_string_literal: true

# A whole studio packed into one file, or taken in from one: asked for, worked on by the worker with its progress, there
# for some days.
class PackStudios < ActiveRecord::Migration[7.2]
  def change
    create_table :transfers do |t|
      t.references :studio, foreign_key: { on_delete: :cascade }
      t.references :account, null: false, foreign_key: { on_delete: :cascade }
      t.string :kind, null: false
      t.string :state, null: false
      t.float :share, null: false, default: 0
      t.jsonb :file_data
      t.jsonb :report, null: false, default: {}
      t.timestamps
    end
  end
end
