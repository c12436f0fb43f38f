# frozen_string_literal: true

# Erasing goes by every name somebody had; a first name alone waits for a person to say whether it is theirs; and every
# process learns from one counter that somebody was erased.
class LetNamesGo < ActiveRecord::Migration[7.2]
  def change
    add_column :people, :former_names, :string, array: true, null: false, default: []
    add_column :people, :names_waiting, :string, array: true, null: false, default: []
    add_column :studios, :forgets, :integer, null: false, default: 0
  end
end
