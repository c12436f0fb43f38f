# frozen_string_literal: true

# When somebody said that they come to all rehearsals, and when a studio last asked those who had said nothing.
class SayWhoComes < ActiveRecord::Migration[7.2]
  def change
    add_column :people, :comes_said_on, :date
    add_column :studios, :days_asked_on, :date
  end
end
