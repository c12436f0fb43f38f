# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Somebody comes on one day more: a dancer who had said no, or a guest on another date.
      class Comes < Change
        def valid? = !person.nil? && !day.nil?
        def season = { comes: [person.id, day] }

        private

        def person = @person ||= @studio.people.find_by(id: id("person"))
        def day = @day ||= date("date")
        def words = { name: person.name, day: Shared::Dates.day(day) }

        # The day is taken out of what they had said; of a guest it is one visit more.
        def accept
          person.absences.where(from_date: ..day, to_date: day..).find_each { |absence| absence.leave_out(day..day) }
          return if person.visits.none? || person.visits.exists?(date: day)

          person.visits.create!(studio_id: @studio.id, date: day)
        end
      end
    end
  end
end
