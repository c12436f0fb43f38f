# frozen_string_literal: true

module Records
  # The whole piece as it was after a change (piece-1). Append-only.
  class Revision < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :account, optional: true
  end
end
