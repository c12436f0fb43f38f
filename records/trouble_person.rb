# frozen_string_literal: true

module Records
  # Somebody for whom something went wrong.
  class TroublePerson < Base
    self.table_name = "trouble_people"
    belongs_to :studio
    belongs_to :trouble
    belongs_to :person
  end
end
