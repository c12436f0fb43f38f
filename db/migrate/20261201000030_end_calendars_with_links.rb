# frozen_string_literal: true

# A calendar address made behind a dancer's private link ends with that link.
class EndCalendarsWithLinks < ActiveRecord::Migration[7.2]
  def change
    add_column :calendar_links, :person_link_id, :bigint
    add_foreign_key :calendar_links, :person_links, column: :person_link_id, on_delete: :cascade
    add_index :calendar_links, :person_link_id
  end
end
