# frozen_string_literal: true

# A dancer's own sheet may carry a code for a camera; the page behind it asks for a word that the studio gave the
# family.
class AskForAWord < ActiveRecord::Migration[7.2]
  def change
    add_column :people, :family_word, :string
    add_column :people, :sheet_token, :string
    add_index :people, :sheet_token, unique: true
  end
end
