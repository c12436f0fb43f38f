# frozen_string_literal: true

# Agreements on joins (a log), who owns a join when it is not the entering choreographer, what groups do besides their
# moves, and where everybody stands.
class AddJoinsAndSpacing < ActiveRecord::Migration[7.2]
  def up
    agreements
    join_facts
    parts
    formations
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def within(table, **columns)
    columns.each do |column, target|
      add_foreign_key table, target,
                      column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
    end
    add_index table, %i[studio_id id], unique: true
  end

  def agreements
    create_table :agreements do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.string :join_key, null: false
      t.string :kind, null: false
      t.string :leaving_digest, null: false
      t.string :entering_digest, null: false
      t.string :words, null: false, default: ""
      t.bigint :account_id
      t.string :by_name, null: false
      t.date :day, null: false
      t.datetime :created_at, null: false
    end
    within :agreements, piece_id: :pieces
    add_index :agreements, %i[piece_id join_key id]
    execute "CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON agreements FOR EACH ROW " \
            "EXECUTE FUNCTION keep_what_was_written()"
  end

  def join_facts
    create_table :join_facts do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.string :join_key, null: false
      t.bigint :owner_id
      t.string :note, null: false, default: ""
      t.timestamps
    end
    within :join_facts, piece_id: :pieces
    add_index :join_facts, %i[piece_id join_key], unique: true
    add_foreign_key :join_facts, :people, column: %i[studio_id owner_id], primary_key: %i[studio_id id]
  end

  def parts
    change_table :parts do |t|
      t.boolean :mirrored, null: false, default: false
      t.jsonb :stretches, null: false, default: []
      t.string :level
      t.string :place
      t.integer :facing
    end
  end

  def formations
    create_table :formations do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.bigint :link_id, null: false
      t.string :moment, null: false
      t.integer :count
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    within :formations, piece_id: :pieces
    add_index :formations, "link_id, moment, coalesce(count, 0)", unique: true, name: "one_formation_a_moment"
    unless index_exists?(:links, %i[studio_id id])
      add_index :links, %i[studio_id id], unique: true, name: "links_of_a_studio"
    end
    add_foreign_key :formations, :links,
                    column: %i[studio_id link_id], primary_key: %i[studio_id id], on_delete: :cascade
    create_table :spots do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :formation_id, null: false
      t.bigint :person_id, null: false
      t.decimal :x, null: false, precision: 6, scale: 2
      t.decimal :y, null: false, precision: 6, scale: 2
      t.integer :facing, null: false, default: 1
      t.boolean :pinned, null: false, default: false
    end
    within :spots, formation_id: :formations, person_id: :people
    add_index :spots, %i[formation_id person_id], unique: true
  end
end
