# frozen_string_literal: true

module Records
  # Somebody cannot come, on these dates; no reason is asked or kept.
  class Absence < Base
    belongs_to :studio
    belongs_to :person
    belongs_to :habit, optional: true
    validates :from_date, :to_date, presence: true
    validate :in_order

    # Ids of those of a studio who cannot come on a day at all.
    def self.whole_days(studio, date)
      studio.absences.where(from_minute: nil, to_minute: nil)
        .where("from_date <= :date AND to_date >= :date", date:).distinct.pluck(:person_id)
    end

    # Somebody comes on these days after all: what lies before and after them stays as it was. days: a Range of dates,
    # endless for all that follow.
    def leave_out(days)
      said = slice(:studio_id, :person_id, :from_minute, :to_minute, :habit_id)
      rest = [[from_date, days.begin - 1], [(days.end || to_date) + 1, to_date]].select { |first, last| first <= last }
      transaction do
        destroy!
        rest.each { |first, last| Absence.create!(**said.symbolize_keys, from_date: first, to_date: last) }
      end
    end

    private

    def in_order
      errors.add(:to_date, "must not be before the first day") if from_date && to_date && to_date < from_date
    end
  end
end
