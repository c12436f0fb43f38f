# frozen_string_literal: true

module Records
  # How far a section had been taught on a day, to all who dance it. A log: the newest line counts.
  class Teaching < Base
    belongs_to :studio
    belongs_to :section
    validates :eights, numericality: { only_integer: true, in: 0..200 }
  end
end
