# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Somebody comes to all rehearsals.
      class Freed < Change
        def valid? = !person.nil?
        def season = { freed: person.id }

        private

        def person = @person ||= @studio.people.find_by(id: id("person"))
        def words = { name: person.name }

        # From today on: days ahead are taken out of what they had said, days past stay.
        def accept
          person.absences.where(to_date: today..).find_each { |absence| absence.leave_out(today..) }
          person.visits.where(date: today..).destroy_all
        end
      end
    end
  end
end
