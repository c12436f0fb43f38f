# frozen_string_literal: true

module Records
  # What was done with an evening: a slot begun or ended, shortened, dropped or exchanged with another.
  class EveningStep < Base
    include Said

    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :slot

    # Slots that were dropped in a rehearsal.
    def self.dropped_in(rehearsal) = standing.where(rehearsal_id: rehearsal.id, kind: "drop")
  end
end
