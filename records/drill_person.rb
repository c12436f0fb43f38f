# frozen_string_literal: true

module Records
  # Somebody who is needed for a drill.
  class DrillPerson < Base
    self.table_name = "drill_people"
    belongs_to :studio
    belongs_to :drill
    belongs_to :person
  end
end
