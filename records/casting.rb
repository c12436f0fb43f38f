# frozen_string_literal: true

module Records
  # A dancer is in a piece.
  class Casting < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :person
  end
end
