# frozen_string_literal: true

module App
  module Season
    module Actions
      # Takes what was ticked in the grid of who comes when: only what was changed there, so that two may tick at once.
      # Value: how many days were changed.
      class TickAway
        # away, was: {person's id as text => [ISO date]} as ticked, and as it stood when the page was opened.
        def initialize(studio, away, was)
          @studio = studio
          @away = pairs(away)
          @was = pairs(was)
        end

        def run
          Records::Absence.transaction do
            added = (@away - @was).count { |person, date| goes(person, date) }
            Shared::Result.ok(added + (@was - @away).count { |person, date| comes(person, date) })
          end
        end

        private

        # [[Records::Person, Date], …] of this studio's people.
        def pairs(ticked)
          ids = ticked.to_h.keys.grep(/\A\d{1,18}\z/)
          people = @studio.people.where(id: ids).index_by { |person| person.id.to_s }
          ticked.to_h.slice(*people.keys).flat_map do |id, dates|
            dates.filter_map { |text| Shared::Dates.parse(text) }.uniq.map { |date| [people[id], date] }
          end
        end

        def goes(person, date)
          return false if whole(person, date).any?

          person.absences.create!(studio_id: @studio.id, from_date: date, to_date: date)
          true
        end

        def comes(person, date) = whole(person, date).to_a.each { |row| row.leave_out(date..date) }.any?

        def whole(person, date)
          person.absences.where(from_minute: nil, to_minute: nil).where("from_date <= :d AND to_date >= :d", d: date)
        end
      end
    end
  end
end
