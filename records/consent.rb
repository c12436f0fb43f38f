# frozen_string_literal: true

module Records
  # A guardian's yes (or a grown-up's own) to clips in which somebody can be seen; it can be withdrawn.
  class Consent < Base
    belongs_to :studio
    belongs_to :person
    normalizes :by_name, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip }
    validates :by_name, presence: true, length: { maximum: 80 }
    scope :standing, -> { where(withdrawn_at: nil) }
  end
end
