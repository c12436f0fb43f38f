# frozen_string_literal: true

module App
  module Planning
    module Changes
      # A rehearsal falls away.
      class Without < Change
        def valid? = !rehearsal.nil?
        def season = { without: rehearsal.id }

        private

        def rehearsal = @rehearsal ||= @studio.rehearsals.standing.find_by(id: id("rehearsal"))
        def words = { day: Shared::Dates.day(rehearsal.date) }
        def accept = rehearsal.update!(cancelled_at: Shared::Clock.now)
      end
    end
  end
end
