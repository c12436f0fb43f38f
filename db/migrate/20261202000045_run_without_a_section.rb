# frozen_string_literal: true

# Full runs but the last need not wait for a section.
class RunWithoutASection < ActiveRecord::Migration[7.2]
  def change
    add_column :sections, :run_without, :boolean, null: false, default: false
  end
end
