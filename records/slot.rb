# frozen_string_literal: true

module Records
  # One task in one room at one time, with the people called.
  class Slot < Base
    belongs_to :studio
    belongs_to :plan
    belongs_to :rehearsal
    belongs_to :room, optional: true
    has_many :slot_people, class_name: "Records::SlotPerson"

    # What stands around the work: warm-ups, and what is danced again.
    WARM_UPS = %w[warm_up re_warm cool_down].freeze
    ENDS = %w[recap to_music].freeze
    scope :work, -> { where.not(kind: WARM_UPS + ENDS) }

    def end_minute = start_minute + minutes
    def work? = !warm_up? && !end?
    def lesson? = %w[learn make].include?(kind) && section_ids.size == 1
    def warm_up? = WARM_UPS.include?(kind)
    def end? = ENDS.include?(kind)
  end
end
