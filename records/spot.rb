# frozen_string_literal: true

module Records
  # One dancer's place in a formation: metres from the middle (x, the audience's right positive) and from the front edge
  # (y).
  class Spot < Base
    belongs_to :studio
    belongs_to :formation
    belongs_to :person
  end
end
