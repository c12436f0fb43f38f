# frozen_string_literal: true

# Private addresses from which a calendar elsewhere reads calls: of a person, of a piece, of a room. Each can be taken
# back.
class GiveCalendars < ActiveRecord::Migration[7.2]
  def change
    create_table :calendar_links do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :person_id
      t.bigint :piece_id
      t.bigint :room_id
      t.string :token_digest, null: false
      t.datetime :revoked_at
      t.timestamps
    end
    add_index :calendar_links, %i[studio_id id], unique: true
    add_index :calendar_links, :token_digest, unique: true
    add_check_constraint :calendar_links, "num_nonnulls(person_id, piece_id, room_id) = 1", name: "of_one_thing"
    { person_id: :people, piece_id: :pieces, room_id: :rooms }.each do |column, table|
      add_index :calendar_links, [:studio_id, column]
      add_foreign_key :calendar_links, table, column: [:studio_id, column], primary_key: %i[studio_id id],
                                              on_delete: :cascade
    end
  end
end
