# frozen_string_literal: true

# A version given to a group, a group that waits on the way, a room without steps.
class GroupsDanceTheirOwn < ActiveRecord::Migration[7.2]
  def up
    add_column :parts, :pauses, :jsonb, null: false, default: []
    add_column :rooms, :step_free, :boolean
    add_column :version_people, :group_id, :bigint
    change_column_null :version_people, :person_id, true
    add_foreign_key :version_people, :groups, column: %i[studio_id group_id], primary_key: %i[studio_id id],
                                              on_delete: :cascade
    add_check_constraint :version_people, "num_nonnulls(person_id, group_id) = 1", name: "somebody_dances_it"
    add_index :version_people, "group_id, coalesce(section_id, 0)", unique: true, name: "one_version_a_group"
  end

  def down = raise(ActiveRecord::IrreversibleMigration)
end
