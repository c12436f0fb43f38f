# frozen_string_literal: true

module Records
  # Somebody is called to a slot, as "dancer" or "teacher".
  class SlotPerson < Base
    self.table_name = "slot_people"
    belongs_to :studio
    belongs_to :slot
    belongs_to :person
  end
end
