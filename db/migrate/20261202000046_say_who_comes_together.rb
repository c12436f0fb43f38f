# frozen_string_literal: true

# Who comes and goes with whom, brothers and sisters mostly: a plan calls them at the same times where it can.
class SayWhoComesTogether < ActiveRecord::Migration[7.2]
  def up
    add_column :people, :comes_with_id, :bigint
    add_index :people, %i[studio_id comes_with_id]
    execute <<~SQL
      ALTER TABLE people ADD FOREIGN KEY (studio_id, comes_with_id) REFERENCES people (studio_id, id)
        ON DELETE SET NULL (comes_with_id);
    SQL
  end

  def down = remove_column(:people, :comes_with_id)
end
