# frozen_string_literal: true

module Records
  # What was done with an evening: a slot begun or ended, shortened, dropped or exchanged with another.
  class EveningStep < Base
    include Said

    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :slot
  end
end
