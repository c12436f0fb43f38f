# frozen_string_literal: true

module Records
  # A spot to be drilled: from which eight to which, how often, with whom. In a rehearsal it is a slot of its own or the
  # beginning of another one; until it is danced it is one of the plan's cleaning tasks.
  class Drill < Base
    REPETITIONS = (2..20)

    belongs_to :studio
    belongs_to :piece
    belongs_to :rehearsal, optional: true
    belongs_to :slot, optional: true
    has_many :drill_people, class_name: "Records::DrillPerson", dependent: :delete_all
    has_many :people, through: :drill_people
    scope :open, -> { where(done_at: nil, dropped_at: nil).order(:id) }

    # Said twice, the first time counts.
    def finish(wanted, now) = update!(done_at: wanted ? done_at || now : nil)
  end
end
