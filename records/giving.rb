# frozen_string_literal: true

module Records
  # A note that was given, in a round or at once.
  class Giving < Base
    belongs_to :studio
    belongs_to :note
    belongs_to :rehearsal, optional: true
    scope :standing, -> { where(taken_back_at: nil) }
  end
end
