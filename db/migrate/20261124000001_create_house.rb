# frozen_string_literal: true

# Everything that belongs to a studio carries studio_id, and every reference carries it too, so that the database
# itself refuses a row that points into another studio.
class CreateHouse < ActiveRecord::Migration[7.2]
  def up
    people_and_access
    pieces
    rehearsals_and_plans
    learning
    housekeeping
    append_only :ledger_entries
    append_only :revisions
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  def tenant(name, &block)
    create_table(name) do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      block.call(t)
    end
    add_index name, %i[studio_id id], unique: true
  end

  # A reference within the studio: column, or [column, table] where the names differ.
  def belongs(table, *columns, null: false, on_delete: :cascade)
    columns.each do |column, target = column.to_s.delete_suffix("_id").pluralize|
      change_column_null table, column, null
      add_index table, [:studio_id, column]
      add_foreign_key table, target,
                      column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: (null ? nil : on_delete)
    end
  end

  def people_and_access
    create_table :studios do |t|
      t.string :name, null: false
      t.string :time_zone, null: false, default: "Europe/London"
      t.jsonb :settings, null: false, default: {}
      t.boolean :demo, null: false, default: false
      t.timestamps
    end
    create_table :accounts do |t|
      t.string :email, null: false, index: { unique: true }
      t.string :name, null: false
      t.string :password_digest, null: false
      t.integer :session_version, null: false, default: 1
      t.integer :failed_sign_ins, null: false, default: 0
      t.datetime :locked_until
      t.timestamps
    end
    tenant(:people) do |t|
      t.string :name, null: false
      t.boolean :dances, null: false, default: true
      t.boolean :teaches, null: false, default: false
      t.boolean :adult, null: false, default: false
      t.integer :tape
      t.string :initials
      t.datetime :archived_at
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    tenant(:memberships) do |t|
      t.references :account, null: false, foreign_key: { on_delete: :cascade }
      t.string :role, null: false
      t.bigint :person_id
      t.timestamps
    end
    belongs :memberships, :person_id, null: true
    add_index :memberships, %i[studio_id account_id], unique: true
    tenant(:person_links) do |t|
      t.bigint :person_id, null: false
      t.string :token_digest, null: false, index: { unique: true }
      t.datetime :revoked_at
      t.timestamps
    end
    belongs :person_links, :person_id
    tenant(:invitations) do |t|
      t.string :email, null: false
      t.string :role, null: false
      t.bigint :person_id
      t.string :token_digest, null: false, index: { unique: true }
      t.datetime :expires_at, null: false
      t.datetime :accepted_at
      t.timestamps
    end
    belongs :invitations, :person_id, null: true
    create_table :password_resets do |t|
      t.references :account, null: false, foreign_key: { on_delete: :cascade }
      t.string :token_digest, null: false, index: { unique: true }
      t.datetime :expires_at, null: false
      t.datetime :used_at
      t.timestamps
    end
  end

  def pieces
    tenant(:pieces) do |t|
      t.string :title, null: false
      t.date :show_date
      t.jsonb :settings, null: false, default: {}
      t.datetime :archived_at
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    tenant(:tracks) do |t|
      t.bigint :piece_id, null: false
      t.jsonb :tempo, null: false, default: [[1, 120]]
      t.jsonb :form, null: false, default: []
      t.decimal :first_count_seconds, null: false, default: 0, precision: 9, scale: 3
      t.decimal :length_seconds, precision: 9, scale: 3
      t.timestamps
    end
    belongs :tracks, :piece_id
    tenant(:castings) do |t|
      t.bigint :piece_id, null: false
      t.bigint :person_id, null: false
      t.timestamps
    end
    belongs :castings, :piece_id, :person_id
    add_index :castings, %i[piece_id person_id], unique: true
    tenant(:groups) do |t|
      t.bigint :piece_id, null: false
      t.string :name, null: false
      t.integer :number, null: false
      t.bigint :leader_id
      t.timestamps
    end
    belongs :groups, :piece_id
    belongs :groups, %i[leader_id people], null: true
    tenant(:group_members) do |t|
      t.bigint :group_id, null: false
      t.bigint :person_id, null: false
      t.timestamps
    end
    belongs :group_members, :group_id, :person_id
    add_index :group_members, %i[group_id person_id], unique: true
    tenant(:sections) do |t|
      t.bigint :piece_id, null: false
      t.string :name, null: false
      t.string :letter, null: false
      t.bigint :choreographer_id
      t.string :fidelity, null: false, default: "set"
      t.string :method_preset, null: false, default: "drill"
      t.string :time, null: false, default: "normal"
      t.string :feel, null: false, default: "even"
      t.jsonb :stated_entry, null: false, default: {}
      t.jsonb :stated_exit, null: false, default: {}
      t.decimal :difficulty, null: false, default: 1, precision: 3, scale: 2
      t.integer :minutes
      t.integer :expected_counts
      t.text :hazards, array: true, null: false, default: []
      t.string :bring, null: false, default: ""
      t.text :note, null: false, default: ""
      t.integer :position, null: false
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    belongs :sections, :piece_id
    belongs :sections, %i[choreographer_id people], null: true
    tenant(:eights) do |t|
      t.bigint :section_id, null: false
      t.integer :position, null: false
      t.integer :counts, null: false, default: 8
      t.text :text, null: false, default: ""
      t.string :cue, null: false, default: ""
      t.string :name, null: false, default: ""
      t.timestamps
    end
    belongs :eights, :section_id
    tenant(:parts) do |t|
      t.bigint :section_id, null: false
      t.bigint :group_id, null: false
      t.integer :start_offset, null: false, default: 0
      t.integer :hold_before, null: false, default: 0
      t.integer :hold_after, null: false, default: 0
      t.timestamps
    end
    belongs :parts, :section_id, :group_id
    add_index :parts, %i[section_id group_id], unique: true
    tenant(:links) do |t|
      t.bigint :piece_id, null: false
      t.bigint :section_id, null: false
      t.integer :position, null: false
      t.boolean :mirrored, null: false, default: false
      t.jsonb :changes_made, null: false, default: {}
      t.timestamps
    end
    belongs :links, :piece_id, :section_id
    tenant(:revisions) do |t|
      t.bigint :piece_id, null: false
      t.integer :number, null: false
      t.bigint :account_id
      t.string :summary, null: false
      t.jsonb :work, null: false
      t.datetime :created_at, null: false
    end
    belongs :revisions, :piece_id
    add_index :revisions, %i[piece_id number], unique: true
  end

  def rehearsals_and_plans
    tenant(:rooms) do |t|
      t.string :name, null: false
      t.integer :capacity, null: false
      t.integer :area
      t.datetime :archived_at
      t.timestamps
    end
    tenant(:rehearsals) do |t|
      t.date :date, null: false
      t.integer :start_minute, null: false
      t.integer :end_minute, null: false
      t.datetime :cancelled_at
      t.string :note, null: false, default: ""
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    add_index :rehearsals, %i[studio_id date]
    tenant(:rehearsal_rooms) do |t|
      t.bigint :rehearsal_id, null: false
      t.bigint :room_id, null: false
      t.timestamps
    end
    belongs :rehearsal_rooms, :rehearsal_id, :room_id
    tenant(:absences) do |t|
      t.bigint :person_id, null: false
      t.date :from_date, null: false
      t.date :to_date, null: false
      t.integer :from_minute
      t.integer :to_minute
      t.timestamps
    end
    belongs :absences, :person_id
    tenant(:visits) do |t|
      t.bigint :person_id, null: false
      t.date :date, null: false
      t.timestamps
    end
    belongs :visits, :person_id
    add_index :visits, %i[person_id date], unique: true
    tenant(:plans) do |t|
      t.bigint :piece_id, null: false
      t.integer :number, null: false
      t.string :school, null: false, default: "add_on"
      t.jsonb :result, null: false, default: {}
      t.bigint :account_id
      t.datetime :published_at
      t.datetime :replaced_at
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end
    belongs :plans, :piece_id
    add_index :plans, %i[piece_id number], unique: true
    tenant(:slots) do |t|
      t.bigint :plan_id, null: false
      t.bigint :rehearsal_id, null: false
      t.bigint :room_id
      t.string :kind, null: false
      t.string :task_key, null: false
      t.string :title, null: false
      t.integer :start_minute, null: false
      t.integer :minutes, null: false
      t.integer :from_link
      t.integer :to_link
      t.bigint :section_ids, array: true, null: false, default: []
      t.timestamps
    end
    belongs :slots, :plan_id, :rehearsal_id
    belongs :slots, :room_id, null: true
    tenant(:slot_people) do |t|
      t.bigint :slot_id, null: false
      t.bigint :person_id, null: false
      t.string :role, null: false, default: "dancer"
    end
    belongs :slot_people, :slot_id, :person_id
  end

  def learning
    tenant(:ledger_entries) do |t|
      t.bigint :piece_id, null: false
      t.bigint :person_id, null: false
      t.string :item_key, null: false
      t.string :kind, null: false
      t.integer :rung, null: false, default: 0
      t.bigint :undoes_id
      t.bigint :account_id
      t.string :by_name, null: false
      t.string :client_id
      t.string :note, null: false, default: ""
      t.date :day, null: false
      t.datetime :created_at, null: false
    end
    belongs :ledger_entries, :piece_id, :person_id
    add_index :ledger_entries, %i[piece_id person_id item_key]
    add_index :ledger_entries, %i[piece_id id]
    add_index :ledger_entries, %i[studio_id client_id], unique: true
    tenant(:learning_states) do |t|
      t.bigint :piece_id, null: false
      t.bigint :person_id, null: false
      t.string :item_key, null: false
      t.integer :rung, null: false, default: 0
      t.integer :days, null: false, default: 0
      t.date :last_danced_on
      t.boolean :signed_off, null: false, default: false
      t.boolean :changed_since, null: false, default: false
    end
    belongs :learning_states, :piece_id, :person_id
    add_index :learning_states, %i[piece_id person_id item_key], unique: true
  end

  def housekeeping
    create_table :mails do |t|
      t.references :studio, foreign_key: { on_delete: :cascade }
      t.string :recipient, null: false
      t.string :subject, null: false
      t.text :body, null: false
      t.datetime :delivered_at
      t.timestamps
    end
    tenant(:submissions) do |t|
      t.string :key, null: false
      t.string :location
      t.datetime :created_at, null: false
    end
    add_index :submissions, %i[studio_id key], unique: true
    create_table :heartbeats do |t|
      t.string :name, null: false, index: { unique: true }
      t.datetime :beat_at, null: false
    end
    Que.migrate!(version: 7)
  end

  # Rows may be added; changing one is refused, and so is deleting one, but when a whole demo studio is made anew.
  def append_only(table)
    execute <<~SQL
      CREATE OR REPLACE FUNCTION keep_what_was_written() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF TG_OP = 'DELETE' AND current_setting('joinchain.clearing', true) = 'on' THEN RETURN OLD; END IF;
        RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
      END $$;
      CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON #{table} FOR EACH ROW
      EXECUTE FUNCTION keep_what_was_written();
    SQL
  end
end
