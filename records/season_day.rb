# frozen_string_literal: true

module Records
  # Days of a studio's season: it is closed, there is no school, or exams are written, by everybody or by a group.
  class SeasonDay < Base
    KINDS = %w[closed holiday exam].freeze
    # So many days at the most.
    LONGEST = 120

    belongs_to :studio
    belongs_to :group, optional: true
    validates :kind, inclusion: { in: KINDS }
    validates :from_date, :to_date, presence: true
    validate { errors.add(:to_date, "must not be before the first day") if to_date && from_date && to_date < from_date }

    def days = from_date..to_date
  end
end
