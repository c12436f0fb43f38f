# What a form sent and what was said about it, beside its key: the same key with something else in it is refused, and
# a second sending is told what the first one was told.
class KeepWhatAFormSent < ActiveRecord::Migration[7.2]
  def change
    add_column :submissions, :digest, :string, null: false, default: ""
    add_column :submissions, :said, :jsonb
    add_index :submissions, :created_at
  end
end
