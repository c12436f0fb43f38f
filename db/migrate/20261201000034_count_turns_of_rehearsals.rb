# frozen_string_literal: true

require "uri"

# Numbers of calendar events only grow: how often a rehearsal fell away or came back is counted (beginning above
# whatever was told before). And the host in an event's key is kept with the rehearsal once it was told.
class CountTurnsOfRehearsals < ActiveRecord::Migration[7.2]
  def up
    add_column :rehearsals, :turns, :integer, null: false, default: 2
    add_column :rehearsals, :told_at_host, :string
    execute "UPDATE rehearsals SET turns = 3 WHERE cancelled_at IS NOT NULL"
    host = connection.quote(URI(Settings.app_url).host)
    execute <<~SQL
      UPDATE rehearsals SET told_at_host = #{host} WHERE id IN (
        SELECT rehearsal_id FROM slots JOIN plans ON plans.id = slots.plan_id WHERE plans.published_at IS NOT NULL)
    SQL
  end

  def down
    remove_column :rehearsals, :turns
    remove_column :rehearsals, :told_at_host
  end
end
