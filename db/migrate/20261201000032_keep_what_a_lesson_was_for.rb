# frozen_string_literal: true

# Which eights a slot of a lesson was for, and whether how far it got was counted or only confirmed.
class KeepWhatALessonWasFor < ActiveRecord::Migration[7.2]
  def up
    add_column :slots, :eights, :integer, array: true
    add_column :teachings, :counted, :boolean, null: false, default: true
    # Slots that are there say it in their title: "Learn Spiral, eights 4 – 8".
    execute <<~SQL
      UPDATE slots SET eights = ARRAY[found[1]::int, coalesce(found[2], found[1])::int]
      FROM (SELECT id, regexp_match(title, ', eights? (\\d{1,3})(?: – (\\d{1,3}))?$') AS found FROM slots
            WHERE kind IN ('learn', 'make')) titles
      WHERE titles.id = slots.id AND found IS NOT NULL
    SQL
  end

  def down
    remove_column :slots, :eights
    remove_column :teachings, :counted
  end
end
