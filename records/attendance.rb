# frozen_string_literal: true

module Records
  # Whether somebody who was called came to a rehearsal.
  class Attendance < Base
    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :person
    before_validation { self.state ||= present ? "present" : "absent" }
  end
end
