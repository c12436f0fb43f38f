# Plans that a director asked for and may take: worked out by the worker, with progress, and taken as they were shown.
class AddPlanOffers < ActiveRecord::Migration[7.2]
  def change
    create_table :plan_offers do |t|
      t.references :studio, null: false, foreign_key: { on_delete: :cascade }
      t.bigint :piece_id, null: false
      t.bigint :account_id
      t.string :kind, null: false
      t.jsonb :asked, null: false, default: {}
      t.string :state, null: false, default: "waiting"
      t.float :share, null: false, default: 0
      t.jsonb :facts, null: false, default: {}
      t.jsonb :plans, null: false, default: {}
      t.bigint :work_version
      t.bigint :season_version
      t.datetime :taken_at
      t.timestamps
    end
    add_index :plan_offers, %i[studio_id id], unique: true
    add_index :plan_offers, %i[piece_id kind id]
    add_foreign_key :plan_offers, :pieces, column: %i[studio_id piece_id], primary_key: %i[studio_id id],
                                           on_delete: :cascade
  end
end
