# frozen_string_literal: true

# A sample piece in one's own studio, to look round first.
class LookRoundFirst < ActiveRecord::Migration[7.2]
  def change
    add_column :pieces, :sample, :boolean, null: false, default: false
  end
end
