# frozen_string_literal: true

module Records
  # One task in one room at one time, with the people called.
  class Slot < Base
    belongs_to :studio
    belongs_to :plan
    belongs_to :rehearsal
    belongs_to :room, optional: true
    has_many :slot_people, class_name: "Records::SlotPerson"

    def end_minute = start_minute + minutes
    def work? = !%w[warm_up cool_down].include?(kind)
  end
end
