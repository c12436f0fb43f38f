# frozen_string_literal: true

# What was said of a trouble spot before what is said of it now, so that the newest words can be taken back.
class UndoWords < ActiveRecord::Migration[7.2]
  def change
    add_column :troubles, :said_before, :jsonb, null: false, default: {}
  end
end
