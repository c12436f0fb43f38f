# frozen_string_literal: true

module Records
  # One line of a join's history: agreed in the room, or taken back. Never changed; the newest one counts.
  class Agreement < Base
    KINDS = %w[agreed withdrawn].freeze

    belongs_to :studio
    belongs_to :piece
    validates :kind, inclusion: { in: KINDS }
    validates :words, length: { maximum: 300 }
    normalizes :words, with: ->(words) { words.to_s.gsub(/\s+/, " ").strip }
  end
end
