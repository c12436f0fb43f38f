# frozen_string_literal: true

# How old somebody is, as a band and never a birth date; nothing is said of those who were only no adults.
class SayAgeBands < ActiveRecord::Migration[7.2]
  def up
    add_column :people, :band, :string
    execute "UPDATE people SET band = 'adult' WHERE adult"
  end

  def down = remove_column(:people, :band)
end
