# frozen_string_literal: true

module Records
  # Something to watch for in a section: of the whole, or at a count. Settled ones are kept.
  class Correction < Base
    belongs_to :studio
    belongs_to :section
    normalizes :text, with: ->(text) { text.to_s.gsub(/\s+/, " ").strip }
    validates :text, presence: true, length: { maximum: 200 }
    validates :eight, numericality: { only_integer: true, in: 1..200 }, allow_nil: true
    validates :count, numericality: { only_integer: true, in: 1..64 }, allow_nil: true
    scope :open, -> { where(settled_at: nil).order(Arel.sql("eight NULLS FIRST, count NULLS FIRST, id")) }

    # "eight 3, count 5"; nil for the whole section.
    def place = [("eight #{eight}" if eight), ("count #{count}" if count)].compact.join(", ").presence
  end
end
