# frozen_string_literal: true

# An evening in the room: what was said of who is there, when slots began and ended and what was re-cut, passes that
# were counted, notes, the rehearsal track. What happened is only added to, under the sender's own key; what was wrong
# is undone by a further row that names it.
class RehearseInTheRoom < ActiveRecord::Migration[7.2]
  def up
    attendance
    steps
    passes
    notes
    uploads
    add_column :people, :client_id, :string
    add_column :people, :rings, :string, null: false, default: ""
    add_column :sections, :called_by, :string, null: false, default: "counts"
    add_index :people, %i[studio_id client_id], unique: true
    add_column :rehearsals, :confirmed_at, :datetime
    add_column :rehearsals, :confirmed_by, :string
    add_column :attendances, :state, :string
    add_column :attendances, :minute, :integer
    execute "UPDATE attendances SET state = CASE WHEN present THEN 'present' ELSE 'absent' END"
    change_column_null :attendances, :state, false
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def tenant(name, &block)
    create_table(name) do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      block.call(t)
      t.bigint :said_at, null: false
      t.string :by_name, null: false
      t.string :client_id, null: false
      t.datetime :created_at, null: false
    end
    add_index name, %i[studio_id id], unique: true
    add_index name, %i[studio_id client_id], unique: true
  end

  # Rows that name by its key what they undo.
  def undoing(table)
    add_column table, :undoes, :string
    add_index table, %i[studio_id undoes]
    append_only table
  end

  # References within the studio.
  def within(table, columns)
    columns.each do |column, target|
      add_index table, [:studio_id, column]
      add_foreign_key table, target, column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
    end
  end

  def append_only(table)
    execute <<~SQL
      CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON #{table} FOR EACH ROW
      EXECUTE FUNCTION keep_what_was_written();
    SQL
  end

  def attendance
    tenant(:attendance_entries) do |t|
      t.bigint :rehearsal_id, null: false
      t.bigint :person_id
      t.string :guest
      t.string :state, null: false
      t.integer :minute, null: false
    end
    add_check_constraint :attendance_entries, "num_nonnulls(person_id, guest) = 1", name: "of_somebody"
    within :attendance_entries, rehearsal_id: :rehearsals, person_id: :people
    undoing :attendance_entries
  end

  def steps
    tenant(:evening_steps) do |t|
      t.bigint :rehearsal_id, null: false
      t.bigint :slot_id, null: false
      t.string :kind, null: false
      t.integer :minute, null: false
      t.integer :minutes
      t.bigint :with_slot_id
    end
    within :evening_steps, rehearsal_id: :rehearsals, slot_id: :slots, with_slot_id: :slots
    undoing :evening_steps
  end

  def passes
    tenant(:passes) do |t|
      t.bigint :rehearsal_id, null: false
      t.bigint :slot_id, null: false
      t.bigint :piece_id, null: false
      t.integer :from_link, null: false
      t.integer :to_link, null: false
      t.integer :from_row, null: false, default: 1
      t.integer :speed, null: false
      t.boolean :music, null: false, default: false
      t.integer :minute, null: false
    end
    within :passes, rehearsal_id: :rehearsals, slot_id: :slots, piece_id: :pieces
    undoing :passes
  end

  def notes
    tenant(:notes) do |t|
      t.bigint :piece_id, null: false
      t.bigint :rehearsal_id
      t.bigint :slot_id
      t.string :kind, null: false
      t.string :about, null: false
      t.string :text, null: false
      t.bigint :section_id
      t.bigint :person_id
      t.bigint :group_id
      t.integer :link
      t.integer :row
      t.integer :at
      t.datetime :answered_at
      t.string :answered_by
      t.datetime :taken_back_at
    end
    within :notes, piece_id: :pieces, rehearsal_id: :rehearsals, slot_id: :slots, section_id: :sections,
                   person_id: :people, group_id: :groups
  end

  def uploads
    create_table :uploads do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.string :kind, null: false
      t.jsonb :file_data, null: false
      t.decimal :seconds, precision: 9, scale: 3
      t.string :by_name, null: false
      t.datetime :removed_at
      t.datetime :created_at, null: false
    end
    add_index :uploads, %i[studio_id id], unique: true
    within :uploads, piece_id: :pieces
  end
end
