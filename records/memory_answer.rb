# frozen_string_literal: true

module Records
  # Whether somebody knew what comes at a join (by the link it leaves). Whose answer it was is not kept.
  class MemoryAnswer < Base
    belongs_to :studio
    belongs_to :piece
  end
end
