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

    private

    def in_order
      errors.add(:to_date, "must not be before the first day") if from_date && to_date && to_date < from_date
    end
  end
end
