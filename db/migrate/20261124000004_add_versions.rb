# frozen_string_literal: true

# Versions of a section (seated, arms only …): eights that stand in for others with equal counts, and who dances them.
class AddVersions < ActiveRecord::Migration[7.2]
  def change
    create_table :versions do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :section_id, null: false
      t.string :kind, null: false
      t.jsonb :eights, null: false, default: {}
      t.string :note, null: false, default: ""
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    add_index :versions, %i[studio_id id], unique: true
    add_index :versions, %i[section_id kind], unique: true
    add_foreign_key :versions, :sections,
                    column: %i[studio_id section_id], primary_key: %i[studio_id id], on_delete: :cascade

    create_table :version_people do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.bigint :person_id, null: false
      t.bigint :section_id
      t.string :kind, null: false
      t.timestamps
    end
    add_index :version_people, %i[studio_id id], unique: true
    add_index :version_people, "piece_id, person_id, coalesce(section_id, 0)", unique: true, name: "one_version_each"
    { piece_id: :pieces, person_id: :people, section_id: :sections }.each do |column, table|
      add_foreign_key :version_people, table,
                      column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
    end
  end
end
