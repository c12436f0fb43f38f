# frozen_string_literal: true

module App
  module Reading
    # Who would begin an evening cold by a plan: what people were told of another piece changed since, and the work they
    # came from, or the warm-up there, is not there any more.
    class ColdStarts
      QUERY = <<~SQL.squish
        SELECT slot_people.person_id, rehearsals.date, slots.start_minute, slots.kind, slots.plan_id
        FROM slots
        JOIN slot_people ON slot_people.slot_id = slots.id AND slot_people.role = 'dancer'
        JOIN rehearsals ON rehearsals.id = slots.rehearsal_id AND rehearsals.cancelled_at IS NULL
        WHERE slots.studio_id = $1 AND slots.plan_id = ANY($2::bigint[])
          AND (rehearsals.date, rehearsals.start_minute) > ($3::date, $4::int)
        ORDER BY rehearsals.date, slots.start_minute, slots.id
      SQL
      WARM = %w[warm_up re_warm].freeze
      private_constant :QUERY, :WARM

      # season: Records::Mapping::Seasons of the plan's piece.
      def initialize(plan, season)
        @plan = plan
        @season = season
      end

      # {Date => [person id]} of those whose first work of a day is this plan's, and not warmed up for. Nobody where a
      # studio warms up for nothing.
      def days
        return {} unless @season.warm_up.positive?

        first = rows.group_by { |row| row.first(2) }.transform_values(&:first)
        cold = first.reject { |_, (_, _, _, kind, plan)| WARM.include?(kind) || plan != @plan.id }
        cold.keys.group_by { |_, date| date.to_date }.transform_values { |pairs| pairs.map(&:first) }
      end

      private

      def rows
        plans = [@plan.id, *@season.others.map(&:plan_id).uniq]
        now = @season.now
        binds = [@plan.studio_id, "{#{plans.join(',')}}", now.to_date, (now.hour * 60) + now.min]
        Records::Base.rows_of(QUERY, "cold starts", binds)
      end
    end
  end
end
