# frozen_string_literal: true

module Records
  # How far a section had been taught on a day, to all who dance it or to one group of them. A log: the newest line
  # counts; what was said of a group holds until a later line says it of all.
  class Teaching < Base
    belongs_to :studio
    belongs_to :section
    belongs_to :group, optional: true
    validates :eights, numericality: { only_integer: true, in: 0..200 }
  end
end
