# frozen_string_literal: true

module Records
  # The outbox. A mail without a studio (a way back in) is for its reader only and shown to nobody. held: it waits for
  # the day's letter, into which it was gathered at gathered_at.
  class Mail < Base
    belongs_to :studio, optional: true
    belongs_to :membership, optional: true
    scope :waiting, -> { where(held: true, gathered_at: nil) }
  end
end
