# frozen_string_literal: true

module App
  module People
    module Actions
      # Somebody is out from today for about so many days, said by one tap; and is back by another. No reason is kept.
      # Value: the last day.
      class OutFromToday
        MOST = 60

        def initialize(person, today)
          @person = person
          @today = today
        end

        def run(days)
          days = days.to_s[/\A\d{1,2}\z/].to_i
          return Shared::Result.no({ out: I18n.t("people.out.days", most: MOST) }) unless days.between?(1, MOST)

          last = @today + days - 1
          row = own.find_by(from_date: @today) || @person.absences.new(studio_id: @person.studio_id, from_date: @today)
          row.update!(to_date: last)
          Shared::Result.ok(last)
        end

        # From today on they are there again; days behind stay as they were.
        def back = own.find_each { |row| row.leave_out(@today..) }

        private

        # Whole days that today lies in, said for these days and not by a habit.
        def own
          @person.absences.where(habit_id: nil, from_minute: nil, to_minute: nil)
            .where("from_date <= :day AND to_date >= :day", day: @today)
        end
      end
    end
  end
end
