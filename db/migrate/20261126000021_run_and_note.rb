# frozen_string_literal: true

# Runs: what was danced of a piece in one go, where it was stopped, what went wrong at which count and for whom, what is
# drilled because of it, and the notes that were given. Corrections become notes: they are one thing. Clips of runs and
# of sections, who is in them, and what guardians agreed to.
class RunAndNote < ActiveRecord::Migration[7.2]
  def up
    runs
    troubles
    drills
    notes
    move_corrections
    clips
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def tenant(name, &block)
    create_table(name) do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      block.call(t)
      t.datetime :created_at, null: false
    end
    add_index name, %i[studio_id id], unique: true
  end

  # Rows that a device sent under a key of its own.
  def said(name)
    tenant(name) do |t|
      yield t
      t.bigint :said_at, null: false
      t.string :by_name, null: false
      t.string :client_id, null: false
    end
    add_index name, %i[studio_id client_id], unique: true
  end

  # Rows that are only added to; what was wrong is undone by a further one that names its key.
  def append_only(table)
    add_column table, :undoes, :string
    add_index table, %i[studio_id undoes]
    execute <<~SQL
      CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON #{table} FOR EACH ROW
      EXECUTE FUNCTION keep_what_was_written();
    SQL
  end

  # References within the studio.
  def within(table, columns)
    columns.each do |column, target|
      add_index table, [:studio_id, column]
      add_foreign_key table, target, column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
    end
  end

  # What happened at a link stays known when the link is gone: its id is no reference.
  def place(table, prefix = "")
    table.bigint :"#{prefix}link_id", null: false
    table.integer :"#{prefix}row", null: false, default: 1
  end

  def runs
    said(:runs) do |t|
      t.bigint :piece_id, null: false
      t.bigint :rehearsal_id, null: false
      t.bigint :slot_id
      t.string :kind, null: false
      place t
      t.bigint :to_link_id, null: false
      t.integer :speed, null: false, default: 100
      t.boolean :music, null: false, default: false
      t.integer :minute, null: false
    end
    within :runs, piece_id: :pieces, rehearsal_id: :rehearsals
    append_only :runs
    said(:run_steps) do |t|
      t.bigint :run_id, null: false
      t.string :kind, null: false
      place t
      t.integer :at, null: false, default: 0
      t.integer :minute, null: false
    end
    within :run_steps, run_id: :runs
    append_only :run_steps
  end

  def troubles
    said(:troubles) do |t|
      t.bigint :piece_id, null: false
      t.bigint :run_id, null: false
      place t
      t.integer :at, null: false, default: 0
      t.string :place, null: false
      t.string :kind
      t.bigint :group_id
      t.boolean :everyone, null: false, default: false
      t.bigint :worded_at
      t.string :worded_by
      t.datetime :settled_at
      t.string :settled_by
      t.datetime :taken_back_at
    end
    within :troubles, piece_id: :pieces, run_id: :runs, group_id: :groups
    tenant(:trouble_people) do |t|
      t.bigint :trouble_id, null: false
      t.bigint :person_id, null: false
    end
    within :trouble_people, trouble_id: :troubles, person_id: :people
    add_index :trouble_people, %i[trouble_id person_id], unique: true
  end

  def drills
    tenant(:drills) do |t|
      t.bigint :piece_id, null: false
      place t, "from_"
      place t, "to_"
      t.integer :repetitions, null: false
      t.integer :minutes, null: false
      t.string :because, null: false, default: ""
      t.bigint :rehearsal_id
      t.bigint :slot_id
      t.string :by_name, null: false
      t.datetime :done_at
      t.datetime :dropped_at
    end
    within :drills, piece_id: :pieces, rehearsal_id: :rehearsals
    add_index :drills, :slot_id
    tenant(:drill_people) do |t|
      t.bigint :drill_id, null: false
      t.bigint :person_id, null: false
    end
    within :drill_people, drill_id: :drills, person_id: :people
    add_index :drill_people, %i[drill_id person_id], unique: true
  end

  def notes
    add_column :notes, :run_id, :bigint
    within :notes, run_id: :runs
    add_column :notes, :link_id, :bigint
    execute <<~SQL
      UPDATE notes n SET link_id = l.id
      FROM (SELECT id, piece_id, row_number() OVER (PARTITION BY piece_id ORDER BY position) AS place FROM links) l
      WHERE l.piece_id = n.piece_id AND l.place = n.link
    SQL
    remove_column :notes, :link
    tenant(:givings) do |t|
      t.bigint :note_id, null: false
      t.bigint :rehearsal_id
      t.string :by_name, null: false
      t.datetime :taken_back_at
    end
    within :givings, note_id: :notes, rehearsal_id: :rehearsals
  end

  def move_corrections
    execute <<~SQL
      INSERT INTO notes (studio_id, piece_id, kind, about, text, section_id, "row", at, answered_at, answered_by,
                         said_at, by_name, client_id, created_at)
      SELECT c.studio_id, s.piece_id, 'correction', 'section', c.text, c.section_id, c.eight, (c.count - 1) * 12,
             c.settled_at, CASE WHEN c.settled_at IS NULL THEN NULL ELSE c.by_name END,
             (extract(epoch FROM c.created_at) * 1000)::bigint, c.by_name, 'correction-' || c.id, c.created_at
      FROM corrections c JOIN sections s ON s.id = c.section_id
      ORDER BY c.id
    SQL
    drop_table :corrections
  end

  def clips
    change_table :uploads do |t|
      t.bigint :section_id
      t.bigint :run_id
      t.string :side
      t.jsonb :marks, null: false, default: []
    end
    within :uploads, section_id: :sections, run_id: :runs
    tenant(:clip_people) do |t|
      t.bigint :upload_id, null: false
      t.bigint :person_id, null: false
    end
    within :clip_people, upload_id: :uploads, person_id: :people
    add_index :clip_people, %i[upload_id person_id], unique: true
    tenant(:consents) do |t|
      t.bigint :person_id, null: false
      t.string :by_name, null: false
      t.date :given_on, null: false
      t.string :noted_by, null: false
      t.datetime :withdrawn_at
      t.string :withdrawn_by
    end
    within :consents, person_id: :people
  end
end
