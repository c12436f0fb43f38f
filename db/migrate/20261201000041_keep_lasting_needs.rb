# frozen_string_literal: true

# What somebody always needs: to come on wheels, and a word for whoever is with them in the room.
class KeepLastingNeeds < ActiveRecord::Migration[7.2]
  def change
    change_table :people, bulk: true do |t|
      t.boolean :wheels, null: false, default: false
      t.string :needs, null: false, default: "", limit: 120
    end
  end
end
