# frozen_string_literal: true

module Records
  # A trouble spot of a run: where, and, as soon as somebody said so, of what kind and whose. place: how it was called
  # then. worded_at: when kind and whose were said last; settled_at: when it was said to be settled.
  class Trouble < Base
    belongs_to :studio
    belongs_to :piece
    belongs_to :run
    belongs_to :group, optional: true
    has_many :trouble_people, class_name: "Records::TroublePerson", dependent: :delete_all
    has_many :people, through: :trouble_people
    validates :kind, inclusion: { in: Core::Running::Trouble::KINDS }, allow_nil: true
    scope :standing, -> { where(taken_back_at: nil) }
    # Somebody ran into somebody, and nobody has said since how they pass.
    scope :open_collisions, -> { standing.where(kind: "collision", settled_at: nil).order(:id) }

    # Said twice, the first time counts.
    def settle(wanted, by_name, now)
      return update!(settled_at: nil, settled_by: nil) unless wanted

      update!(settled_at: now, settled_by: by_name) unless settled_at
    end
  end
end
