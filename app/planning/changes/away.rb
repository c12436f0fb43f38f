# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Somebody is away from one day to another.
      class Away < Change
        LONGEST = 200
        private_constant :LONGEST

        def valid? = !person.nil? && !first.nil? && !last.nil? && last.between?(first, first + LONGEST) && last >= today
        def season = { away: [person, first, last] }

        private

        def person = @person ||= @studio.people.find_by(id: id("person"))
        def first = @first ||= Shared::WrittenDates.read(@asked["from"], today)

        def last
          @last ||= @asked["to"].to_s.strip.empty? ? first : Shared::WrittenDates.read(@asked["to"], first || today)
        end

        def words
          { name: person.name, days: [first, last].uniq.map { |date| Shared::Dates.day(date) }.join(" – ") }
        end

        def accept = person.absences.create!(studio_id: @studio.id, from_date: first, to_date: last)
      end
    end
  end
end
