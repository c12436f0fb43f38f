# frozen_string_literal: true

module App
  module Reading
    # Who, or which room, would be in two places at once if a plan held beside others: work, recap and music,
    # and warming up or cooling down beside the other's work, in sentences, the soonest first.
    class TwoPlaces
      PEOPLE = <<~SQL.squish
        SELECT people.name, rehearsals.date, mine.title, theirs.title, pieces.title
        FROM slots mine
        JOIN slot_people ON slot_people.slot_id = mine.id AND slot_people.studio_id = $1
        JOIN rehearsals ON rehearsals.id = mine.rehearsal_id AND rehearsals.cancelled_at IS NULL
        JOIN rehearsals other ON other.date = rehearsals.date AND other.studio_id = $1 AND other.cancelled_at IS NULL
        JOIN slots theirs ON theirs.rehearsal_id = other.id AND theirs.plan_id = ANY($3::bigint[])
          AND theirs.start_minute < mine.start_minute + mine.minutes
          AND mine.start_minute < theirs.start_minute + theirs.minutes
        JOIN slot_people called ON called.slot_id = theirs.id AND called.person_id = slot_people.person_id
        JOIN people ON people.id = slot_people.person_id
        JOIN plans ON plans.id = theirs.plan_id
        JOIN pieces ON pieces.id = plans.piece_id
        WHERE mine.studio_id = $1 AND mine.plan_id = $2 AND (rehearsals.date, rehearsals.start_minute) >= ($4, $5)
          AND NOT (mine.kind IN ('warm_up', 're_warm', 'cool_down')
            AND theirs.kind IN ('warm_up', 're_warm', 'cool_down'))
        ORDER BY rehearsals.date, mine.start_minute, people.name, mine.id, theirs.id
      SQL
      ROOMS = <<~SQL.squish
        SELECT rooms.name, rehearsals.date, mine.title, theirs.title, pieces.title
        FROM slots mine
        JOIN rehearsals ON rehearsals.id = mine.rehearsal_id AND rehearsals.cancelled_at IS NULL
        JOIN slots theirs ON theirs.rehearsal_id = rehearsals.id AND theirs.plan_id = ANY($3::bigint[])
          AND theirs.room_id = mine.room_id AND theirs.start_minute < mine.start_minute + mine.minutes
          AND mine.start_minute < theirs.start_minute + theirs.minutes
        JOIN rooms ON rooms.id = mine.room_id
        JOIN plans ON plans.id = theirs.plan_id
        JOIN pieces ON pieces.id = plans.piece_id
        WHERE mine.studio_id = $1 AND mine.plan_id = $2 AND (rehearsals.date, rehearsals.start_minute) >= ($4, $5)
        ORDER BY rehearsals.date, mine.start_minute, mine.id, theirs.id
      SQL
      private_constant :PEOPLE, :ROOMS

      # beside: ids of plans; now: the studio's local time, from which on it counts.
      def initialize(plan, beside:, now:)
        @plan = plan
        @beside = beside
        @now = now
      end

      def any? = sentences.any?

      # ["Tue 9 Feb: Ada and Bo would be at Drift and, with Market Day, at Awning at once.", …]
      def sentences = @sentences ||= [*of(PEOPLE, "people"), *of(ROOMS, "room")]

      private

      def of(query, kind)
        binds = [@plan.studio_id, @plan.id, "{#{@beside.join(',')}}", @now.to_date, (@now.hour * 60) + @now.min]
        Records::Base.rows_of(query, "two places", binds).group_by { |row| row.drop(1) }.map do |places, rows|
          date, mine, theirs, piece = places
          names = rows.map(&:first).uniq
          I18n.t("two_places.#{kind}", day: Shared::Dates.day(date.to_date), names: Shared::Lists.of(names, 3), mine:,
                                       theirs:, piece:)
        end
      end
    end
  end
end
