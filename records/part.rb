# frozen_string_literal: true

module Records
  # What one group does in a section, and when it starts.
  class Part < Base
    belongs_to :studio
    belongs_to :section
    belongs_to :group
    # Counts; below 0 a group enters before the link begins.
    OFFSETS = -32..512
    HOLDS = 0..512
    validates :start_offset, numericality: { only_integer: true, in: OFFSETS }
    validates :hold_before, :hold_after, numericality: { only_integer: true, in: HOLDS }
  end
end
