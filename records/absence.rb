# frozen_string_literal: true

module Records
  # Somebody cannot come, on these dates; no reason is asked or kept.
  class Absence < Base
    belongs_to :studio
    belongs_to :person
    validates :from_date, :to_date, presence: true
    validate :in_order

    private

    def in_order
      errors.add(:to_date, "must not be before the first day") if from_date && to_date && to_date < from_date
    end
  end
end
