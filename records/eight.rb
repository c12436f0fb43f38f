# frozen_string_literal: true

module Records
  # One line of counts of a section.
  class Eight < Base
    belongs_to :studio
    belongs_to :section
    validates :counts, numericality: { only_integer: true, in: 1..64 }
    validates :text, length: { maximum: 1000 }
    validates :cue, :name, length: { maximum: 80 }
  end
end
