# frozen_string_literal: true

# Learning beside the ladder: on the spots, from the other side, as a cover, layer by layer; what counts as learned;
# who covers whom; whose queue is looked after by whom; runs that were allowed although something blocked them.
class LearnAlongStrands < ActiveRecord::Migration[7.2]
  STRAND = %i[track layer covers_person_id].freeze

  def up
    strands
    ways
    understudies
    hand_overs
    overrulings
    add_column :teachings, :group_id, :bigint
    within :teachings, :group_id, :groups
  end

  def down = raise(ActiveRecord::IrreversibleMigration)

  private

  # A reference within the studio.
  def within(table, column, target)
    add_foreign_key table, target, column: [:studio_id, column], primary_key: %i[studio_id id], on_delete: :cascade
  end

  def strands
    %i[ledger_entries learning_states].each do |table|
      change_table table do |t|
        t.string :track, null: false, default: "own"
        t.string :layer
        t.bigint :covers_person_id
      end
      within table, :covers_person_id, :people
    end
    change_table :learning_states do |t|
      t.integer :clean, null: false, default: 0
      t.boolean :reviewed, null: false, default: false
      t.integer :reported, null: false, default: 0
    end
    remove_index :learning_states, %i[piece_id person_id item_key]
    add_index :learning_states, [:piece_id, :person_id, :item_key, *STRAND], unique: true, nulls_not_distinct: true,
                                                                              name: "one_state_a_strand"
    fold_clean_runs
  end

  # How often what was danced at a rung that counts, of entries that were not taken back.
  def fold_clean_runs
    execute <<~SQL
      UPDATE learning_states s SET clean = counted.clean
      FROM (
        SELECT e.piece_id, e.person_id, e.item_key, count(*) AS clean
        FROM ledger_entries e
        JOIN pieces p ON p.id = e.piece_id
        WHERE e.kind = 'danced' AND e.rung >= coalesce((p.settings ->> 'learned_from')::int, 4)
          AND NOT EXISTS (SELECT 1 FROM ledger_entries u WHERE u.undoes_id = e.id)
        GROUP BY 1, 2, 3
      ) counted
      WHERE s.piece_id = counted.piece_id AND s.person_id = counted.person_id AND s.item_key = counted.item_key
    SQL
  end

  def ways
    change_table :sections do |t|
      t.string :learned_way
      t.integer :learned_runs
      t.boolean :layered_ladder, null: false, default: false
    end
  end

  def understudies
    create_table :understudies do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.bigint :person_id, null: false
      t.bigint :covers_person_id, null: false
      t.datetime :created_at, null: false
    end
    add_index :understudies, %i[studio_id id], unique: true
    add_index :understudies, %i[piece_id person_id covers_person_id], unique: true
    add_check_constraint :understudies, "person_id <> covers_person_id", name: "somebody_else"
    { piece_id: :pieces, person_id: :people, covers_person_id: :people }.each do |column, target|
      within :understudies, column, target
    end
    execute <<~SQL
      CREATE FUNCTION raise_work_by_understudies() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        piece bigint := CASE WHEN TG_OP = 'DELETE' THEN OLD.piece_id ELSE NEW.piece_id END;
      BEGIN
        IF raised_already('piece-' || piece) THEN RETURN NULL; END IF;
        UPDATE pieces SET work_version = work_version + 1 WHERE id = piece;
        RETURN NULL;
      END $$;

      CREATE CONSTRAINT TRIGGER work_is_raised AFTER INSERT OR UPDATE OR DELETE ON understudies
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION raise_work_by_understudies();
    SQL
  end

  # Until a day, somebody of the team signs off in place of a choreographer.
  def hand_overs
    create_table :hand_overs do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :person_id, null: false
      t.bigint :membership_id, null: false
      t.date :until_day, null: false
      t.string :by_name, null: false
      t.datetime :ended_at
      t.datetime :created_at, null: false
    end
    add_index :hand_overs, %i[studio_id id], unique: true
    add_index :hand_overs, %i[studio_id person_id]
    within :hand_overs, :person_id, :people
    within :hand_overs, :membership_id, :memberships
  end

  def overrulings
    create_table :overrulings do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.string :kind, null: false
      t.string :reason, null: false
      t.integer :blocks, null: false
      t.string :blocked, array: true, null: false, default: []
      t.string :by_name, null: false
      t.date :day, null: false
      t.datetime :created_at, null: false
    end
    add_index :overrulings, %i[studio_id id], unique: true
    add_index :overrulings, %i[piece_id id]
    within :overrulings, :piece_id, :pieces
    execute <<~SQL
      CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON overrulings FOR EACH ROW
      EXECUTE FUNCTION keep_what_was_written();
    SQL
  end
end
