# frozen_string_literal: true

module Records
  # The folded state of one cell, always recomputed from its own log entries.
  class LearningState < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :person
  end
end
