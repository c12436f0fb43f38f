# A choreographer's word that would make others' lines read otherwise is proposed to the director first.
class ProposeWords < ActiveRecord::Migration[7.2]
  def change
    add_column :own_steps, :account_id, :bigint
    add_column :own_steps, :by_name, :string, null: false, default: ""
    add_column :own_steps, :proposed_at, :datetime
    add_foreign_key :own_steps, :accounts, on_delete: :nullify
  end
end
