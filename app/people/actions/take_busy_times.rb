# frozen_string_literal: true

module App
  module People
    module Actions
      # Days and times somebody is busy, as they were ticked: each once, without its reason.
      class TakeBusyTimes
        MOST = 800
        LINE = /\A(\d{4}-\d{2}-\d{2})\|(\d{0,4})\|(\d{0,4})\z/

        # days: ["2027-03-01|1080|1140", "2027-03-02||", …].
        def initialize(person, days)
          @person = person
          @days = days.first(MOST)
        end

        # How many were added.
        def run
          Records::Base.transaction { @days.uniq.count { |line| added?(line) } }
        end

        private

        def added?(line)
          date, from, to = LINE.match(line)&.captures
          day = date && Shared::Dates.parse(date)
          return false unless day && minutes?(from, to)

          facts = { from_date: day, to_date: day, from_minute: number(from), to_minute: number(to) }
          return false if @person.absences.exists?(facts)

          @person.absences.create!(studio_id: @person.studio_id, **facts)
        end

        def minutes?(from, to)
          numbers = [number(from), number(to)]
          numbers.compact.all? do |minute|
            minute.between?(0, 1440)
          end && (numbers.any?(&:nil?) || numbers.first < numbers.last)
        end

        def number(text) = text.empty? ? nil : text.to_i
      end
    end
  end
end
