# frozen_string_literal: true

module Records
  # Somebody cannot come on a day of the week, all day or between two minutes of the day; no reason is asked or kept.
  # What it means for each rehearsal is an absence of its own.
  class Habit < Base
    belongs_to :studio
    belongs_to :person
    has_many :absences
    validates :weekday, inclusion: { in: 1..7 }

    # Makes the absences of some rehearsals, of all habits of a studio or of one.
    def self.spread(studio, rehearsals, habits = studio.habits.reload.to_a)
      by_day = habits.group_by(&:weekday)
      rehearsals.each { |rehearsal| by_day.fetch(rehearsal.date.cwday, []).each { |habit| habit.on(rehearsal.date) } }
    end

    # Its absence on a date; once.
    def on(date)
      day = { from_date: date, to_date: date }
      return if absences.exists?(day)

      absences.create!(studio_id:, person_id:, from_minute:, to_minute:, **day)
    end
  end
end
