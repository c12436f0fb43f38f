# frozen_string_literal: true

module Records
  # A room with the number of dancers it holds; the posted limit always wins.
  class Room < Base
    include Archivable

    belongs_to :studio
    normalizes :name, with: ->(name) { name.to_s.strip }
    validates :name, presence: true, length: { maximum: 60 }
    validates :capacity, numericality: { only_integer: true, in: 1..2000 }
    # How it is reached, as a form says it => whether it is step-free; nil where nobody said.
    WAYS_IN = { "free" => true, "steps" => false }.freeze

    def self.reached(way) = WAYS_IN[way]
    def way_in = WAYS_IN.key(step_free)

    scope :open, -> { where(archived_at: nil).order(:id) }
  end
end
