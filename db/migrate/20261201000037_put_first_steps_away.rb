# frozen_string_literal: true

# Studios that have told a plan know their way: the first steps are not shown there.
class PutFirstStepsAway < ActiveRecord::Migration[7.2]
  def up
    execute <<~SQL
      UPDATE studios SET settings = settings || '{"way_closed": true}'::jsonb WHERE id IN (
        SELECT studio_id FROM plans WHERE published_at IS NOT NULL)
    SQL
  end

  def down = execute("UPDATE studios SET settings = settings - 'way_closed'")
end
