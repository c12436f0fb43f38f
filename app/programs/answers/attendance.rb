# frozen_string_literal: true

module App
  module Programs
    module Answers
      # Who was there, a row for everybody of whom something was said.
      class Attendance
        def initialize(studio, _now) = @studio = studio

        def rows
          said = @studio.attendances.joins(:rehearsal).includes(:rehearsal, :person)
          said.order("rehearsals.date", "rehearsals.start_minute", :person_id).map do |each|
            { rehearsal: each.rehearsal_id, date: each.rehearsal.date.iso8601, person: each.person_id,
              name: each.person&.name, state: each.state,
              time: each.minute && Formats::Times.clock(each.minute) }
          end
        end
      end
    end
  end
end
