# frozen_string_literal: true

module Records
  # What was said of somebody at a rehearsal: a dancer, or a guest by name. A log; the register is derived from it.
  class AttendanceEntry < Base
    include Said

    belongs_to :studio
    belongs_to :rehearsal
    belongs_to :person, optional: true
    normalizes :guest, with: ->(name) { name.to_s.gsub(/\s+/, " ").strip.presence }
    validates :guest, length: { maximum: 80 }, allow_nil: true
  end
end
