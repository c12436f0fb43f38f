# frozen_string_literal: true

# What a recap names, one by one, so that what was dropped the evening before can be left out of it.
class NameRecaps < ActiveRecord::Migration[7.2]
  def change
    add_column :slots, :names, :string, array: true, null: false, default: []
  end
end
