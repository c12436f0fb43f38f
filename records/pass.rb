# frozen_string_literal: true

module Records
  # A pass that was counted in the room: from which link to which, at what percentage of the tempo, with music or not.
  class Pass < Base
    include Said

    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :slot
    belongs_to :piece
  end
end
