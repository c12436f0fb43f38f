# frozen_string_literal: true

module Records
  # A room is used in a rehearsal.
  class RehearsalRoom < Base
    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :room
  end
end
