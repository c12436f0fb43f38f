# frozen_string_literal: true

# Groups of a roster that came without a piece, and those that somebody leads: they wait with the people for a piece.
class KeepRosterGroups < ActiveRecord::Migration[7.2]
  def change
    change_table :people, bulk: true do |t|
      t.jsonb :roster_groups, null: false, default: []
      t.jsonb :roster_leads, null: false, default: []
    end
  end
end
