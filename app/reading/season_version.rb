# frozen_string_literal: true

module App
  module Reading
    # What a studio's season stands at, in one small query: equal versions, equal plans, rehearsals, people's dates and
    # rooms. A piece's own steps and ticks have their counters (PieceSnapshots).
    module SeasonVersion
      QUERY = <<~SQL.squish
        SELECT forgets, season_version,
               (SELECT count(*) FROM rehearsals WHERE studio_id = $1 AND (date, start_minute) <= ($2::date, $3::int))
        FROM studios WHERE id = $1
      SQL
      private_constant :QUERY

      # plan: the one looked at beside those people were told; now: the studio's local time, as rehearsals that begin
      # fall behind.
      def self.of(plan, now)
        [plan.id, *of_studio(plan.studio_id, now)]
      end

      # The same for what hangs on no plan.
      def self.of_studio(studio_id, now)
        binds = [studio_id, now.to_date, (now.hour * 60) + now.min]
        forgets, *version = Records::Base.rows_of(QUERY, "season version", binds).first
        Forgetting.seen(studio_id, forgets)
        [now.to_date, *version]
      end
    end
  end
end
