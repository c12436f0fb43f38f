# frozen_string_literal: true

# What a list says and nobody has settled yet: lengths that are not known, names of teachers whom the studio does not
# have, and a repeat's own name ("v2" of "v1").
class KeepWhatAListSaid < ActiveRecord::Migration[7.2]
  def change
    change_table :sections, bulk: true do |t|
      t.text :said_length, null: false, default: ""
      t.jsonb :said_teachers, null: false, default: []
    end
    # The piece whose list made somebody, so that whoever was a slip goes with it.
    add_column :people, :listed_by, :bigint
    add_column :links, :called, :text, null: false, default: ""
  end
end
