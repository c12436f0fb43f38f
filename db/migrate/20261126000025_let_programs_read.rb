# frozen_string_literal: true

# Other programs read what a studio has with a token of their own, which can be taken back. It opens nothing else.
class LetProgramsRead < ActiveRecord::Migration[7.2]
  def change
    create_table :program_tokens do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.string :name, null: false
      t.string :token_digest, null: false
      t.string :by_name, null: false
      t.date :last_used_on
      t.datetime :revoked_at
      t.timestamps
    end
    add_index :program_tokens, %i[studio_id id], unique: true
    add_index :program_tokens, :token_digest, unique: true
  end
end
