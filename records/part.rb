# frozen_string_literal: true

module Records
  # What one group does in a section, and when it starts.
  class Part < Base
    belongs_to :studio
    belongs_to :section
    belongs_to :group
    validates :start_offset, :hold_before, :hold_after, numericality: { only_integer: true, in: 0..512 }
  end
end
