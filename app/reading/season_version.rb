# frozen_string_literal: true

module App
  module Reading
    # What a studio's season was last changed at, in one small query: equal stamps, equal plans and rehearsals. A
    # piece's own steps and ticks have their version in Snapshots.
    module SeasonVersion
      QUERY = <<~SQL.squish
        SELECT (SELECT updated_at FROM studios WHERE id = $1), (SELECT max(id) FROM teachings WHERE studio_id = $1),
               (SELECT row(max(updated_at), count(*), count(*) FILTER (WHERE (date, start_minute) <= ($3::date, $4::int)))::text FROM rehearsals WHERE studio_id = $1),
               (SELECT row(max(updated_at), count(*))::text FROM absences WHERE studio_id = $1), (SELECT row(max(updated_at), count(*))::text FROM visits WHERE studio_id = $1),
               (SELECT row(max(updated_at), count(*))::text FROM rooms WHERE studio_id = $1), (SELECT row(max(updated_at), count(*))::text FROM attendances WHERE studio_id = $1),
               (SELECT row(max(updated_at), count(*))::text FROM plans WHERE studio_id = $1),
               (SELECT row(max(slots.updated_at), count(*))::text FROM slots JOIN plans ON plans.id = slots.plan_id AND plans.studio_id = slots.studio_id
                 WHERE slots.studio_id = $1 AND ((plans.replaced_at IS NULL AND plans.published_at IS NOT NULL) OR plans.id = $2))
      SQL

      # plan: the one looked at beside those people were told; now: the studio's local time, as rehearsals that begin
      # fall behind.
      def self.of(plan, now)
        binds = [plan.studio_id, plan.id, now.to_date, (now.hour * 60) + now.min]
        [plan.id, now.to_date, *Records::Base.connection.exec_query(QUERY, "season stamp", binds).rows.first]
      end
    end
  end
end
