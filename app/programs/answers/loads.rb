# frozen_string_literal: true

module App
  module Programs
    module Answers
      # What the told plans ask of everybody.
      class Loads
        def initialize(studio, _now) = @studio = studio

        def rows
          people = @studio.people.index_by(&:id)
          Core::Planning::Burden.all(slots).select { |each| people[each.who] }.sort_by(&:who).map do |each|
            { person: each.who, name: people[each.who].name, rehearsals: each.calls, work_minutes: each.work,
              waiting_minutes: each.waiting }
          end
        end

        private

        def slots
          Reading::StandingSlots.standing(@studio, @studio.rehearsals.standing.to_a).work.joins(:slot_people)
            .pluck("slot_people.person_id", :rehearsal_id, :start_minute, :minutes)
        end
      end
    end
  end
end
