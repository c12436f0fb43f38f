# frozen_string_literal: true

module Records
  # The music of a piece: tempo map as [[count, bpm], …], form as [[name, counts], …].
  class Track < Base
    belongs_to :studio
    belongs_to :piece
    validates :length_seconds, numericality: { greater_than: 0, less_than: 36_000 }, allow_nil: true
  end
end
