# frozen_string_literal: true

module App
  module Reading
    # Who is there today by the register.
    module Present
      # Ids of those marked present at today's rehearsals of a studio; nil where today has no register.
      def self.of(studio, today)
        rows = studio.attendances.joins(:rehearsal).where(rehearsals: { date: today, cancelled_at: nil })
        marked = rows.pluck(:person_id, :present)
        marked.select(&:last).map(&:first).uniq if marked.any?
      end
    end
  end
end
