# frozen_string_literal: true

# Material that is known already is in the chain and to be joined, not to be taught.
class KnowSections < ActiveRecord::Migration[7.2]
  def change
    add_column :sections, :known, :boolean, null: false, default: false
  end
end
