# frozen_string_literal: true

module Records
  # One or several plans that a director asked for: a first plan, what one change would do, planning again both ways,
  # the ways to build it, several pieces as one season. The worker works them out; one of them may be taken as it was
  # shown.
  class PlanOffer < Base
    KINDS = %w[plan what_if replanning schools season better].freeze
    UNDER_WAY = %w[waiting running].freeze
    # Seconds after which one that nobody works on counts as given up.
    PATIENCE = 15 * 60

    belongs_to :studio
    belongs_to :piece
    validates :kind, inclusion: { in: KINDS }

    def done? = state == "done"

    # Whether it may change what people were told for the next days.
    def soon? = asked["soon"] == "1"
    def under_way?(now) = UNDER_WAY.include?(state) && created_at > now - PATIENCE

    # Whether piece and season still stand as they did when it was worked out.
    def fresh?
      versions = Piece.joins(:studio).where(id: piece_id, studio_id:).pick(:work_version, "studios.season_version")
      [work_version, season_version] == versions
    end

    # Each of these is one conditional update: whoever asks to stop is never overwritten by progress.
    def begin_work = moved(%w[waiting running], state: "running")
    def note(share) = moved(%w[running], share:)
    def stop = moved(UNDER_WAY, state: "stopping")
    def stopping? = PlanOffer.where(id:, studio_id:).pick(:state) == "stopping"
    def finish(**facts) = moved(%w[running stopping], state: "done", share: 1, **facts)
    # A better plan that was offered and is not wanted.
    def decline = (moved(%w[done], state: "stopped") if kind == "better")
    def give_up = moved(%w[running stopping waiting], state: "stopped")

    private

    # Whether the row was in one of these states, and is changed now.
    def moved(states, **values)
      changed = PlanOffer.where(id:, studio_id:, state: states).update_all(updated_at: Time.now.utc, **values)
      reload
      changed == 1
    end
  end
end
