# Where somebody is signed in is a row, which can be ended one by one; and tries at the doors are counted for all
# processes together, by account and by address, in rows that hold neither.
class KeepSignInsAndTries < ActiveRecord::Migration[7.2]
  def up
    create_table :sign_ins do |t|
      t.references :account, null: false, foreign_key: { on_delete: :cascade }
      t.string :token_digest, null: false, index: { unique: true }
      t.string :device, null: false
      t.datetime :last_seen_at, null: false
      t.datetime :created_at, null: false
    end
    create_table :tries do |t|
      t.string :kind, null: false
      t.string :key, null: false
      t.datetime :since, null: false
      t.integer :count, null: false
    end
    add_index :tries, %i[kind key since], unique: true
    add_index :tries, :since
    remove_columns :accounts, :failed_sign_ins, :locked_until, :session_version
  end

  def down
    add_column :accounts, :failed_sign_ins, :integer, null: false, default: 0
    add_column :accounts, :locked_until, :datetime
    add_column :accounts, :session_version, :integer, null: false, default: 1
    drop_table :tries
    drop_table :sign_ins
  end
end
